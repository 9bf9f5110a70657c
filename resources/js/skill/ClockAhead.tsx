/** Said beside what a device with a wrong clock made: it counts, but its own time is not to be believed. */
export function ClockAhead() {
    return <span className="block text-sm font-semibold">⚠ The device’s clock was more than a day ahead: the time shown is when it arrived.</span>;
}
