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

/** Whether this device has a sheet by which a file is handed to another application or device. */
export const canShare = (): boolean =>
  typeof navigator !== 'undefined' &&
  typeof navigator.canShare === 'function' &&
  navigator.canShare({ files: [new File(['x'], 'x.json', { type: 'application/json' })] });

/** Shares a file by the device's own sheet; closing it without a choice is not an error. */
export async function share(
  name: string,
  content: string | Uint8Array,
  type: string,
): Promise<void> {
  const file = new File([content as BlobPart], name, { type });
  try {
    await navigator.share({ files: [file], title: name });
  } catch (error) {
    if (!(error instanceof DOMException && error.name === 'AbortError'))
      download(name, content, type);
  }
}
