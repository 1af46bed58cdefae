export function keepTemporaryFilesInMemory(): void
