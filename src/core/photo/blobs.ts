/** A connected patch of a mask: bounds, area and centre in pixels. */
export interface Blob {
  label: number;
  area: number;
  left: number;
  top: number;
  right: number;
  bottom: number;
  x: number;
  y: number;
}

/** Labels every connected patch (eight neighbours) of a mask; 0 is background. */
export function blobsOf(mask: Uint8Array, width: number, height: number): { labels: Int32Array; blobs: Blob[] } {
  const labels = new Int32Array(width * height);
  const parent: number[] = [0];
  const root = (label: number): number => {
    let at = label;
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!;
    return at;
  };
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (mask[at] === 0) continue;
      let own = 0;
      for (let n = 0; n < 4; n++) {
        const nx = n === 0 ? x - 1 : x + n - 2;
        const ny = n === 0 ? y : y - 1;
        if (nx < 0 || ny < 0 || nx >= width) continue;
        const other = labels[ny * width + nx]!;
        if (other === 0) continue;
        const top = root(other);
        if (own === 0) own = top;
        else if (top !== own) {
          const low = Math.min(own, top);
          parent[Math.max(own, top)] = low;
          own = low;
        }
      }
      if (own === 0) {
        own = parent.length;
        parent.push(own);
      }
      labels[at] = own;
    }
  }
  const found = new Map<number, Blob>();
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      if (labels[at] === 0) continue;
      const label = root(labels[at]!);
      labels[at] = label;
      const blob = found.get(label);
      if (!blob) found.set(label, { label, area: 1, left: x, top: y, right: x, bottom: y, x, y });
      else {
        blob.area++;
        blob.x += x;
        blob.y += y;
        if (x < blob.left) blob.left = x;
        if (x > blob.right) blob.right = x;
        if (y > blob.bottom) blob.bottom = y;
      }
    }
  }
  const blobs = [...found.values()];
  for (const blob of blobs) {
    blob.x /= blob.area;
    blob.y /= blob.area;
  }
  return { labels, blobs };
}
