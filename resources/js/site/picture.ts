/** Longer than this no side of a kept picture is, pixels: enough for a tablet, and under the megabyte the server keeps. */
export const LONGEST = 1600;

/** How finely a JPEG is kept. */
const QUALITY = 0.8;

/** A sentence for whoever chose the file. */
export class NoPicture extends Error {}

/** As large as it may be, with the same shape. */
export function fitted(width: number, height: number): [number, number] {
    const by = Math.min(1, LONGEST / Math.max(width, height));
    return [Math.max(1, Math.round(width * by)), Math.max(1, Math.round(height * by))];
}

/** A file of this device as a JPEG in base64, drawn anew: the right way up, no larger than needed, and without anything else that was in it. */
export async function asJpeg(file: Blob): Promise<string> {
    const read = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
        throw new NoPicture('This file is no picture this browser can open.');
    });
    const [width, height] = fitted(read.width, read.height);
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width, height });
    canvas.getContext('2d')?.drawImage(read, 0, 0, width, height);
    read.close();
    return canvas.toDataURL('image/jpeg', QUALITY).split(',')[1] ?? '';
}

/** A line drawn on a picture, in shares of its width and height. */
export type Line = [number, number][];

/** Finer than this nobody draws: a share of the picture. */
const FINE = 0.008;

const MOST_POINTS = 200;

const share = (value: number): number => Math.min(1, Math.max(0, Number(value.toFixed(4))));

/** A point so much farther, on the picture. */
export const movedBy = ([x, y]: Line[number], [dx, dy]: readonly [number, number]): Line[number] => [share(x + dx), share(y + dy)];

/** One point more, where it is far enough from the last. */
export function drawnOn(line: Line, [x, y]: [number, number]): Line {
    const last = line.at(-1);
    const near = last && Math.hypot(last[0] - x, last[1] - y) < FINE;
    return near || line.length >= MOST_POINTS ? line : [...line, [share(x), share(y)]];
}

export const asPath = (line: Line, width: number, height: number): string =>
    line.map(([x, y], i) => `${i ? 'L' : 'M'}${(x * width).toFixed(1)},${(y * height).toFixed(1)}`).join(' ');
