import type { Page } from '@playwright/test';

import { seal, unseal } from '../src/storage/envelope';

/** The browser's stored data, for tests that damage it. */
export const DEMO = 'under-ridge-demo';

/** The text of a record. */
export const textOf = (page: Page, key: string, name = DEMO): Promise<string> =>
  page.evaluate(
    ([db, key]) =>
      new Promise<string>((resolve, reject) => {
        const opened = indexedDB.open(db);
        opened.onerror = () => reject(opened.error as Error);
        opened.onsuccess = () => {
          const read = opened.result.transaction('entries').objectStore('entries').get(key);
          read.onsuccess = () => {
            opened.result.close();
            resolve(String(read.result));
          };
        };
      }),
    [name, key] as const,
  );

/** Puts a text in the place of a record. */
export const putText = (page: Page, key: string, text: string, name = DEMO): Promise<void> =>
  page.evaluate(
    ([db, key, text]) =>
      new Promise<void>((resolve, reject) => {
        const opened = indexedDB.open(db);
        opened.onerror = () => reject(opened.error as Error);
        opened.onsuccess = () => {
          const change = opened.result.transaction('entries', 'readwrite');
          change.objectStore('entries').put(text, key);
          change.oncomplete = () => {
            opened.result.close();
            resolve();
          };
        };
      }),
    [name, key, text] as const,
  );

/** The record itself. */
export async function recordOf<T>(page: Page, key: string, name = DEMO): Promise<T> {
  return unseal(await textOf(page, key, name))?.value as T;
}

/** Puts a record with a checksum that is right, whatever is in it. */
export const putRecord = (page: Page, key: string, value: unknown): Promise<void> =>
  putText(page, key, seal(value));
