/** Whether every word that was typed stands somewhere in a line, in whatever order; nothing typed means everything. */
export const isMeant = (line: string, typed: string): boolean => {
    const said = line.toLowerCase();
    return typed
        .toLowerCase()
        .split(/\s+/)
        .every((word) => said.includes(word));
};
