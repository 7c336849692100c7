export function findPostgres(): string | null;
export function demoFolder(checkout: string): string;
export function testFolder(): string;
export function startCluster(folder: string): Promise<string>;
export function stopCluster(folder: string): void;
export function removeCluster(folder: string): void;
export function freePort(wanted?: number): Promise<number>;
export function crashCluster(folder: string): void;
