import type { Browser } from 'playwright-core';
import type { DrawnScreen } from '../screens/screenFiles';

/** Prints a document as a PDF of one page of its size. */
export type PdfPrinter = (drawn: DrawnScreen) => Promise<Uint8Array>;

/** Stands where no PDF is asked for. */
export const NO_PRINTER: PdfPrinter = () => Promise.reject(new Error('nothing prints a PDF here'));

/**
 * Runs work with a printer of PDFs. Chromium is started for the first one, and ended with the work.
 * @throws NoChromium where the first one is asked for and Chromium is missing
 */
export async function withPdfPrinter<Result>(
  work: (printer: PdfPrinter) => Promise<Result>,
): Promise<Result> {
  let browser: Promise<Browser> | null = null;
  try {
    return await work(async (drawn) => {
      // Loaded for those who ask for a PDF: it takes a while.
      const { launchChromium } = await import('../proof/chromium');
      const { printPdf } = await import('../screens/printPdf');
      browser ??= launchChromium();
      return printPdf(await browser, [drawn]);
    });
  } finally {
    await (await (browser as Promise<Browser> | null))?.close();
  }
}
