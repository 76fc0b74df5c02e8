import { appears, kept, newProfile, openProfile, random, type Found } from './profile';

/** Characters of one stored record are changed; the app must start, name what it set aside, and keep every other record. */
export async function damage(origin: string, count: number): Promise<Found> {
  const context = await openProfile(newProfile());
  const page = await context.newPage();
  const failures: string[] = [];
  page.on('pageerror', (error) => failures.push(error.message));
  await page.goto(`${origin}/?start=demo`);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await kept(page);
  let [blank, aside, opened, others] = [0, 0, 0, 0];
  for (let round = 0; round < count; round++) {
    const [pick, at, how] = [random(), random(), random()];
    const hit = await page.evaluate(
      ([pick, at, how]) =>
        new Promise<{ key: string; text: string; keys: number }>((done, fail) => {
          const asked = indexedDB.open('aubade');
          asked.onerror = () => fail(asked.error);
          asked.onsuccess = () => {
            const store = asked.result.transaction('entries', 'readwrite').objectStore('entries');
            const all = store.getAllKeys();
            all.onsuccess = () => {
              const records = (all.result as string[]).filter((key) => !/^(blob|undo|events|sum|aside)\//.test(key));
              const key = records[Math.floor(pick! * records.length)]!;
              const got = store.get(key);
              got.onsuccess = () => {
                const text = got.result as string;
                const place = Math.floor(at! * text.length);
                const spoiled =
                  how! < 0.4
                    ? text.slice(0, place) + String.fromCharCode(33 + Math.floor(how! * 200)) + text.slice(place + 1)
                    : how! < 0.7
                      ? text.slice(0, place)
                      : text.slice(0, place) + text.slice(place + 1 + Math.floor(how! * 20));
                store.put(spoiled, key).onsuccess = () => {
                  asked.result.close();
                  done({ key, text, keys: records.length });
                };
              };
            };
          };
        }),
      [pick, at, how],
    );
    failures.length = 0;
    await page.goto(`${origin}/matches`);
    const stands = await appears(page.getByRole('heading', { level: 1, name: 'Matches' }), 15_000);
    if (!stands || failures.length > 0) blank++;
    await page.goto(`${origin}/shelf/data`);
    await page.getByRole('heading', { name: 'Set aside' }).waitFor();
    const named = await page.getByText(`${hit.key}:`).count();
    if (named > 0) aside++;
    else opened++;
    // Put back as it was for the next round; every other record must be as many as before.
    const left = await page.evaluate(
      ([key, text]) =>
        new Promise<number>((done) => {
          const asked = indexedDB.open('aubade');
          asked.onsuccess = () => {
            const store = asked.result.transaction('entries', 'readwrite').objectStore('entries');
            store.put(text, key);
            store.delete(`aside/${key}`);
            const all = store.getAllKeys();
            all.onsuccess = () => {
              asked.result.close();
              done((all.result as string[]).filter((item) => !/^(blob|undo|events|sum|aside)\//.test(item)).length);
            };
          };
        }),
      [hit.key, hit.text] as const,
    );
    if (left < hit.keys) others++;
  }
  await context.close();
  return {
    text: `${count} damaged records: ${aside} set aside by name, ${opened} opened as they were or with less; ${blank} starts without a page, ${others} times another record was gone`,
    bad: blank + others,
  };
}
