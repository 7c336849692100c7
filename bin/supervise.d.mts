export interface Kept {
  gaveUp: Promise<number>;
  stop: (signal?: NodeJS.Signals) => Promise<number>;
  pid: () => number | undefined;
}
export function keepUp(
  name: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv,
  options?: { most?: number },
): Kept;
