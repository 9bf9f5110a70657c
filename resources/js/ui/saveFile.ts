/** Hands a file to the reader, JSON that any program reads. */
export const saveFile = (name: string, content: object): void => saveText(name, JSON.stringify(content, null, 2), 'application/json');

/** Hands a file to the reader as it is. */
export function saveText(name: string, content: string, type: string): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([content], { type }));
    link.download = name;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
