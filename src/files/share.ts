/** Gives a text or bytes to the browser as a file to keep. */
export function download(
  name: string,
  content: string | Uint8Array,
  type = 'application/json',
): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // Some browsers read the address only after the click has returned.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Lets the user pick one file, or take one with the camera; resolves with nothing when none was picked. */
export function pickFile(
  accept: string,
  camera?: 'environment' | 'user',
): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    if (camera) input.setAttribute('capture', camera);
    input.onchange = () => resolve(input.files?.[0]);
    input.oncancel = () => resolve(undefined);
    input.click();
  });
}
