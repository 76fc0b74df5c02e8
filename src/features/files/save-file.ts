/** Hands a text or bytes to the browser as a file to keep. */
export function saveFile(
  name: string,
  text: string | Uint8Array<ArrayBuffer> | Blob,
  type = text instanceof Blob ? text.type : 'application/json',
): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
