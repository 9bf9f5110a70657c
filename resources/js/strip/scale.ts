/** The one axis of the strip: metres to the line on the way to the right, the line near the right end. */
export interface Scale {
    /** Metres shown before the line. */
    from: number;
    /** Metres shown beyond it, where the other road is. */
    beyond: number;
    width: number;
    x: (metres: number) => number;
    /** Metres at a place on the screen, within what is shown. */
    metres: (x: number) => number;
    pixelsPerMetre: number;
}

export function makeScale(width: number, from: number, beyond: number, left: number): Scale {
    const pixelsPerMetre = (width - left) / (from + beyond);
    return {
        from,
        beyond,
        width,
        pixelsPerMetre,
        x: (metres) => left + (from - metres) * pixelsPerMetre,
        metres: (x) => Math.min(from, Math.max(-beyond, from - (x - left) / pixelsPerMetre)),
    };
}

/** Round numbers for ticks in the unit of the axis, about `wanted` of them, with the metres they stand at. */
export function ticks(from: number, wanted: number, metresInAUnit = 1): { at: number; metres: number }[] {
    const steps = [1, 2, 5, 10, 20, 25, 50, 100, 200];
    const far = from / metresInAUnit;
    const step = steps.find((candidate) => far / candidate <= wanted) ?? 500;
    return Array.from({ length: Math.floor(far / step) + 1 }, (_, i) => ({ at: i * step, metres: i * step * metresInAUnit }));
}

/** Where each whole second to go falls, thinned so that labels keep `gap` pixels between them. */
export function secondTicks(distances: number[], times: number[], scale: Scale, gap: number): { second: number; x: number }[] {
    const ticks: { second: number; x: number }[] = [];
    const reversedTimes = [...times].reverse();
    const reversedDistances = [...distances].reverse();
    for (let second = 0; second <= times[0]!; second++) {
        const i = reversedTimes.findIndex((time) => time >= second);
        if (i < 0) break;
        const [t0, t1] = [reversedTimes[i - 1] ?? 0, reversedTimes[i]!];
        const [d0, d1] = [reversedDistances[i - 1] ?? 0, reversedDistances[i]!];
        const metres = t0 === t1 ? d1 : d0 + ((second - t0) / (t1 - t0)) * (d1 - d0);
        if (metres > scale.from) break;
        const x = scale.x(metres);
        if (ticks.length === 0 || ticks[ticks.length - 1]!.x - x >= gap) ticks.push({ second, x });
    }
    return ticks;
}
