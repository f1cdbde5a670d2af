/** Waits until the thread has nothing else to do, or so long at the latest. */
export const whenIdle = (atLatestMs = 1000): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === 'undefined') setTimeout(resolve);
    else requestIdleCallback(() => resolve(), { timeout: atLatestMs });
  });
