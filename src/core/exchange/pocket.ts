/** Cards of one pocket card at most: a sheet folded twice has so many panels. Apart from what draws it, which no screen loads. */
export const POCKET_MOST = 4;
