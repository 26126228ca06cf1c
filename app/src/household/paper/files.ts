import { decodeText } from '@hoddle/core/formats/tablesIn/decodeText';

/** A file that was chosen, as text. */
export interface ChosenFile {
  readonly name: string;
  readonly text: string;
  /** A compressed one as it is. */
  readonly zipped?: Blob;
}

/** A text file that was chosen, whatever it was written in. */
export interface ChosenText {
  readonly name: string;
  readonly text: string;
}

/** Asks for a file of text; nothing comes back when none is chosen. */
export async function readTextFile(accept: string): Promise<ChosenText | undefined> {
  const file = await chooseFile(accept);
  return file && { name: file.name, text: decodeText(new Uint8Array(await file.arrayBuffer())).text };
}

/** Asks for a file; nothing comes back when none is chosen. */
export async function readFile(accept: string): Promise<ChosenFile | undefined> {
  const file = await chooseFile(accept);
  if (file?.name.endsWith('.gz')) return { name: file.name, text: '', zipped: file };
  return file && { name: file.name, text: await file.text() };
}

function chooseFile(accept: string): Promise<File | undefined> {
  return new Promise((chosen) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => chosen(input.files?.[0]);
    input.oncancel = () => chosen(undefined);
    input.click();
  });
}

/** Saves what the server has at an address under a name. */
export function saveFrom(address: string, name: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
}

/** Saves words that this page has written itself. */
export function saveText(text: string, name: string, type = 'text/csv'): void {
  saveBlob(new Blob([text], { type }), name);
}

/** Saves a file that this page holds. */
export function saveBlob(file: Blob, name: string): void {
  const address = URL.createObjectURL(file);
  saveFrom(address, name);
  // The browser reads it when it has begun to save, which is after this.
  setTimeout(() => URL.revokeObjectURL(address), LET_GO_MS);
}

const LET_GO_MS = 60_000;
