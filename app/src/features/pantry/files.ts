/** A file that was chosen, as text. */
export interface ChosenFile {
  readonly name: string;
  readonly text: string;
  /** A compressed one as it is. */
  readonly zipped?: Blob;
}

/** Asks for a file; nothing comes back when none is chosen. */
export function readFile(accept: string): Promise<ChosenFile | undefined> {
  return new Promise((chosen) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = async () => {
      const file = input.files?.[0];
      if (file?.name.endsWith('.gz')) return chosen({ name: file.name, text: '', zipped: file });
      chosen(file && { name: file.name, text: await file.text() });
    };
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
  const address = URL.createObjectURL(new Blob([text], { type }));
  saveFrom(address, name);
  URL.revokeObjectURL(address);
}
