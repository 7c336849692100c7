/** Numbers from 0 to 1, the same for the same seed. @source Park and Miller's minimal standard generator */
export function seeded(seed: number): () => number {
  let state = Math.abs(Math.floor(seed * 2654435761)) % 2147483647 || 1;
  return () => ((state = (state * 16807) % 2147483647) - 1) / 2147483646;
}
