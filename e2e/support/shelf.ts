import { expect, type Page } from '@playwright/test';

/** How many layers the demo's mockups have. */
const DEMO = { harbour: 141, ticket: 76 } as const;

/** Opens the Sort step of a demo mockup and waits until every layer is decided. */
export async function openDemo(page: Page, name: keyof typeof DEMO = 'harbour'): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name, exact: true }).last().click();
  await expect(page.getByRole('treegrid', { name: 'Worksheet' })).toBeVisible();
  await expect(page.getByText(`${DEMO[name]} layers`)).toBeVisible();
}

/** Reads a mockup of this content, and lands on its report. */
export async function readReport(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page.goto('/');
  const mimeType = name.endsWith('.svg') ? 'image/svg+xml' : 'application/octet-stream';
  await page.getByLabel('Mockup file').setInputFiles({ name, mimeType, buffer: Buffer.from(content) });
  await page.waitForURL(/\/readings\/[\w-]+$/);
  await expect(page.getByRole('region', { name: 'Screens' })).toBeVisible();
}

/** Reads a mockup of this content as a project of its own, and lands on its Sort step. */
export async function readMockup(page: Page, name: string, content: string | Buffer): Promise<void> {
  await readReport(page, name, content);
  await page.getByRole('button', { name: 'Create project' }).click();
  await page.waitForURL(/\/sort$/);
  await expect(page.getByRole('treegrid', { name: 'Worksheet' })).toBeVisible();
}

export function svgOf(content: string, width = 400, height = 300): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${content}</svg>`;
}
