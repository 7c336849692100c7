export const DAY: string;
export const CHROMIUM_FLAGS: string[];
export function startDatabase(): Promise<{ url: string; remove: () => void }>;
export function loadDemo(url: string): void;
export function serve(url: string): Promise<{ address: string; said: () => string; stop: () => Promise<void> }>;
