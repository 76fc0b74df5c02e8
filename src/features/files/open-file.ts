/** Lets the reader choose a file; null when none was chosen. `capture` opens the camera where there is one. */
export function chooseFile(accept: string, capture = ''): Promise<File | null> {
  return new Promise((chosen) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    if (capture) input.setAttribute('capture', capture);
    input.addEventListener('change', () => chosen(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => chosen(null));
    input.click();
  });
}
