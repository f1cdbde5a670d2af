import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The text of a PDF as a reader of another maker gives it back, page after page, spaces made single. */
export async function pdfText(bytes: Uint8Array): Promise<string> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  await pdf.destroy();
  return pages.join(' ').replace(/\s+/g, ' ');
}
