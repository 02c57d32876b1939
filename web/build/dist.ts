/** @returns where the build puts a file */
export const dist = (file: string): URL => new URL(`../dist/${file}`, import.meta.url);
