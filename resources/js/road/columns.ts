/** Reads a column at a moment, between its rows. */
export function at<K extends string>(columns: { time_s: number[] } & Record<K, number[]>, key: K, seconds: number): number {
    const times = columns.time_s;
    const values = columns[key];
    const i = times.findIndex((time) => time >= seconds);
    if (i === -1) return values[values.length - 1] ?? 0;
    if (i === 0) return values[0] ?? 0;
    const share = (seconds - times[i - 1]!) / (times[i]! - times[i - 1]!);
    return values[i - 1]! + share * (values[i]! - values[i - 1]!);
}
