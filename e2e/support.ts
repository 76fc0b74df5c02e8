import { expect, test as base } from '@playwright/test';

/** Every spec: no request leaves the origin, and nothing throws. */
export const test = base.extend<{ watched: void }>({
  watched: [async ({ page, baseURL }, use) => {
    const outside: string[] = [];
    const errors: string[] = [];
    page.on('request', (request) => {
      if (!request.url().startsWith(baseURL!) && !/^(data|blob):/.test(request.url())) outside.push(request.url());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await use();
    expect(outside).toEqual([]);
    expect(errors).toEqual([]);
  }, { auto: true }],
});

export { expect };
