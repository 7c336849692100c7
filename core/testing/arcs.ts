/** Area of a segment over a chord, so high. @source r²(θ − sin θ)/2 */
export const segmentArea = (chord: number, rise: number) => {
  const angle = 4 * Math.atan((2 * rise) / chord);
  const radius = chord ** 2 / (8 * rise) + rise / 2;
  return (radius ** 2 / 2) * (angle - Math.sin(angle));
};
