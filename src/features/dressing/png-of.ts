/** A picture in SVG as PNG bytes, drawn by the browser. */
export async function pngOf(svg: string, width: number, height: number): Promise<Uint8Array<ArrayBuffer>> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image(width, height);
    await new Promise<void>((loaded, failed) => {
      image.onload = () => loaded();
      image.onerror = () => failed(new Error('svg'));
      image.src = url;
    });
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    canvas.getContext('2d')!.drawImage(image, 0, 0, width, height);
    const blob = await new Promise<Blob | null>((made) => canvas.toBlob(made, 'image/png'));
    if (!blob) throw new Error('png');
    return new Uint8Array(await blob.arrayBuffer());
  } finally {
    URL.revokeObjectURL(url);
  }
}
