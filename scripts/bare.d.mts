export function ensureBare(): string;
