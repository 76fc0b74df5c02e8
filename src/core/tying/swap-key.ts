/** What a material of a dressing is called among those that were chosen by hand. */
export const swapKey = (dressing: string, material: string) => `${dressing}/${material}`;
