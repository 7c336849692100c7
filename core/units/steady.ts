/**
 * The same number on every machine. Engines differ in the last digit of sines and the like, and a page that is drawn by one must be taken up
 * by another without a line moved.
 */
export const steady = (value: number): number => Math.round(value * 1e12) / 1e12;

/** Of an angle in degrees. */
export function turnOf(degrees: number): { sin: number; cos: number; tan: number } {
  const angle = (degrees * Math.PI) / 180;
  const [sin, cos] = [steady(Math.sin(angle)), steady(Math.cos(angle))];
  return { sin, cos, tan: steady(Math.tan(angle)) };
}
