/** What fetches a part of the app by its address. Set by the bundler's runtime; not there in development. */
interface Scope {
  __loadBundleAsync?: (address: string) => Promise<unknown>;
}

/** Has what several parts share fetched before the first of them. The export leaves its address in the page: tools/write-parts.ts. */
export function sharedPartFirst(scope: Scope = globalThis as Scope): void {
  const address = document.querySelector('meta[name="shared-part"]')?.getAttribute('content');
  const load = scope.__loadBundleAsync;
  if (!address || !load) return;
  scope.__loadBundleAsync = async (part) => {
    await load(address);
    return load(part);
  };
}
