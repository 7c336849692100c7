export const DAY: string;
export const CHROMIUM_FLAGS: string[];
export interface Served {
  address: string;
  port: number;
  pid: number;
  said: () => string;
  stop: () => Promise<void>;
  kill: () => Promise<void>;
}
export function startDatabase(): Promise<{ url: string; folder: string; remove: () => void }>;
export function loadDemo(url: string): void;
export function serve(url: string, port?: number): Promise<Served>;
