import { download } from '@/files/share';

const DENSE = 2;

/**
 * Saves the drawing inside an element as a file. Nothing happens while nothing is drawn.
 * @param node the element of the chart
 */
export function keepChart(node: unknown, name: string, type: 'svg' | 'png'): void {
  const svg = node instanceof Element ? node.querySelector('svg') : null;
  if (!svg) return;
  const copy = svg.cloneNode(true) as SVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  // The faces of the page are not in the file.
  for (const text of copy.querySelectorAll('text')) text.setAttribute('font-family', 'sans-serif');
  const source = new XMLSerializer().serializeToString(copy);
  const file = name.replace(/[^\p{L}\p{N} ]/gu, '').trim();
  if (type === 'svg') {
    download(`${file}.svg`, source, 'image/svg+xml');
    return;
  }
  const { width, height } = svg.getBoundingClientRect();
  const picture = new Image();
  picture.onload = () => {
    const canvas = document.createElement('canvas');
    canvas.width = width * DENSE;
    canvas.height = height * DENSE;
    const ctx = canvas.getContext('2d');
    if (!ctx) return;
    ctx.fillStyle = getComputedStyle(document.body).backgroundColor;
    ctx.fillRect(0, 0, canvas.width, canvas.height);
    ctx.drawImage(picture, 0, 0, canvas.width, canvas.height);
    canvas.toBlob((blob) => {
      void blob?.arrayBuffer().then((bytes) => {
        download(`${file}.png`, new Uint8Array(bytes), 'image/png');
      });
    }, 'image/png');
  };
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source)}`;
}
