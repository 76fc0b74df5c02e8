/** Stands in for `@/features/files`: what a screen wrote, and what it is given when it asks for a file. */
export const saved: { name: string; text: string; type: string }[] = [];
export const opened: { text: string | null } = { text: null };

export const saveFile = (name: string, text: string, type = 'application/json') =>
  void saved.push({ name, text, type });
export const chooseFile = () =>
  Promise.resolve(opened.text === null ? null : new File([opened.text], 'chosen', { type: 'text/plain' }));
export const canShare = () => false;
export const shareFile = () => Promise.resolve();
/** What was put where it can be pasted. */
export const copied: string[] = [];
export const copyText = (text: string) => {
  copied.push(text);
  return Promise.resolve(true);
};
