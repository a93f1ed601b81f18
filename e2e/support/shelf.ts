import { expect, type Page } from '@playwright/test';

/** Opens the demo's Sort step and waits until every layer is decided. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: 'harbour' }).last().click();
  await expect(page.getByRole('treegrid', { name: 'Worksheet' })).toBeVisible();
  await expect(page.getByText('141 layers')).toBeVisible();
}

/** Reads a mockup of this content as a project of its own, and lands on its Sort step. */
export async function readMockup(page: Page, name: string, svg: string): Promise<void> {
  await page.goto('/');
  await page
    .getByLabel('Mockup file')
    .setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await page.waitForURL(/\/sort$/);
  await expect(page.getByRole('treegrid', { name: 'Worksheet' })).toBeVisible();
}

export function svgOf(content: string, width = 400, height = 300): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${content}</svg>`;
}
