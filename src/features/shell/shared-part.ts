/** What fetches a part of the app by its address. Set by the bundler's runtime; not there in development. */
interface Scope {
  __loadBundleAsync?: (address: string) => Promise<unknown>;
}

/** The address of what several parts share. The export leaves it in the page: tools/write-parts.ts. */
export function sharedPart(): string | null {
  if (typeof document === 'undefined') return null;
  return document.querySelector('meta[name="shared-part"]')?.getAttribute('content') ?? null;
}

/** Has what several parts share fetched before the first of them. */
export function sharedPartFirst(scope: Scope = globalThis as Scope): void {
  const address = sharedPart();
  const load = scope.__loadBundleAsync;
  if (!address || !load) return;
  scope.__loadBundleAsync = async (part) => {
    await load(address);
    return load(part);
  };
}
