'use client';
import { saveBlob } from '../shared/save-file';

const [WIDTH, MARGIN, TITLE, CAPTION] = [960, 24, 40, 26];
/** Sharp on a screen of twice the dots, and on paper. */
const SCALE = 2;

/** A drawing of the page by itself: what hangs on the page's colours is written into it. */
function standAlone(svg: SVGSVGElement): string {
  const style = getComputedStyle(svg);
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', style.fontFamily);
  return copy.outerHTML.replace(/var\((--[\w-]+)\)/g, (_, name: string) =>
    style.getPropertyValue(name).trim(),
  );
}

const pictureOf = (svg: string): Promise<HTMLImageElement> =>
  new Promise((resolve, reject) => {
    const picture = new Image();
    picture.onload = () => resolve(picture);
    picture.onerror = () => reject(new Error('a drawing could not be turned into a picture'));
    picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  });

interface Drawn {
  readonly says: string;
  readonly image: CanvasImageSource;
  readonly height: number;
}

/** What is drawn of a take, in the order of the page: canvases and charts, each under what a screen reader hears of it. */
async function drawingsOf(panel: Element): Promise<Drawn[]> {
  const all = [
    ...panel.querySelectorAll<HTMLCanvasElement | SVGSVGElement>('canvas[role=img], svg[role=img]'),
  ];
  return Promise.all(
    all.map(async (one): Promise<Drawn> => {
      const { width, height } = one.getBoundingClientRect();
      const image = one instanceof HTMLCanvasElement ? one : await pictureOf(standAlone(one));
      return {
        says: one.getAttribute('aria-label') ?? '',
        image,
        height: ((WIDTH - 2 * MARGIN) * height) / width,
      };
    }),
  );
}

/** Saves what is drawn of a take as one PNG, with a title. Rejects where the browser cannot make one. */
export async function savePicture(panel: Element, name: string, title: string): Promise<void> {
  const drawings = await drawingsOf(panel);
  const style = getComputedStyle(panel);
  const colour = (of: string) => style.getPropertyValue(of).trim();
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH * SCALE;
  canvas.height = SCALE * drawings.reduce((sum, one) => sum + one.height + CAPTION, TITLE + 2 * MARGIN);
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('this browser draws no pictures');
  pen.scale(SCALE, SCALE);
  pen.fillStyle = colour('--card');
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.fillStyle = colour('--ink');
  pen.font = `600 20px ${style.fontFamily}`;
  pen.fillText(title, MARGIN, MARGIN + 18, WIDTH - 2 * MARGIN);
  pen.font = `14px ${style.fontFamily}`;
  let y = MARGIN + TITLE;
  for (const { says, image, height } of drawings) {
    pen.fillText(says, MARGIN, y + 14, WIDTH - 2 * MARGIN);
    pen.drawImage(image, MARGIN, y + CAPTION - 6, WIDTH - 2 * MARGIN, height);
    y += height + CAPTION;
  }
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('this browser makes no PNG');
  saveBlob(name, blob);
}
