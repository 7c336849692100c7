export function sourcesFingerprint(places: readonly string[]): string;
