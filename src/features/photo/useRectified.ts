import { useEffect, useRef, useState, type RefObject } from 'react';
import { homography, rectified, type Corners, type Pixels } from '@/core';
import type { Anchors } from './anchors';

/** Points of the laid-under picture to a unit of the drawing. */
const SCALE = 1.6;

/**
 * Draws a picture of a bench as seen from straight above, its four marks under the four holes of the drawing.
 *
 * @param corners in shares of the picture
 * @returns the canvas to draw on, and whether the marks can be those of a board
 */
export function useRectified(
  source: string,
  { spots, width, height }: Anchors,
  corners: Corners,
): { readonly canvas: RefObject<HTMLCanvasElement | null>; readonly fits: boolean } {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pixels = usePixels(source);
  const scaled = spots.map(({ x, y }) => ({ x: x * SCALE, y: y * SCALE })) as unknown as Corners;
  const inPicture = corners.map(({ x, y }) => ({
    x: x * ((pixels?.width ?? 2) - 1),
    y: y * ((pixels?.height ?? 2) - 1),
  })) as unknown as Corners;
  const map = homography(scaled, inPicture);
  const key = JSON.stringify(map);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !pixels || !map) return;
    const [wide, high] = [Math.round(width * SCALE), Math.round(height * SCALE)];
    canvas.current!.width = wide;
    canvas.current!.height = high;
    const { data } = rectified(pixels, map, wide, high);
    context.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, wide, high), 0, 0);
    // The map is new in every render; what it says is in its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pixels, key, width, height]);
  return { canvas, fits: map !== undefined };
}

/** The points of a picture once it has been loaded. */
function usePixels(source: string): Pixels | undefined {
  const [pixels, setPixels] = useState<Pixels>();
  useEffect(() => {
    let here = true;
    const image = new Image();
    image.onload = () => {
      const drawn = document.createElement('canvas');
      drawn.width = image.naturalWidth;
      drawn.height = image.naturalHeight;
      const context = drawn.getContext('2d');
      if (!here || !context) return;
      context.drawImage(image, 0, 0);
      setPixels(context.getImageData(0, 0, drawn.width, drawn.height));
    };
    image.src = source;
    return () => {
      here = false;
    };
  }, [source]);
  return pixels;
}
