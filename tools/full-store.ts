import type { BrowserContext, Page } from '@playwright/test';

/** From `full` on the browser refuses to write as it does when its disk is full: the transaction fails by its quota. To be asked for before the page is opened. */
export async function fillable(pages: Page | BrowserContext): Promise<void> {
  await pages.addInitScript(() => {
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = function (...given: Parameters<typeof put>) {
      if ((window as unknown as { full?: boolean }).full)
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
      return put.apply(this, given);
    };
  });
}

/** Whether the store of a page is full from now on. */
export const fill = (page: Page, full: boolean) =>
  page.evaluate((value) => void Object.assign(window, { full: value }), full);
