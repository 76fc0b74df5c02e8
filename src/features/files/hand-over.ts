/** Puts a text where it can be pasted; false where the browser does not let us. */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

const fileOf = (name: string, bytes: Uint8Array<ArrayBuffer>, type: string) => new File([bytes], name, { type });

/** Whether the system can hand a file of this type to another app. */
export function canShare(type: string): boolean {
  return navigator.canShare?.({ files: [fileOf('x', new Uint8Array(), type)] }) ?? false;
}

/** Hands a file to another app by the system's own share; one that is called off is no fault. */
export async function shareFile(name: string, bytes: Uint8Array<ArrayBuffer>, type: string): Promise<void> {
  try {
    await navigator.share({ files: [fileOf(name, bytes, type)], title: name });
  } catch (error) {
    if ((error as Error).name !== 'AbortError') throw error;
  }
}
