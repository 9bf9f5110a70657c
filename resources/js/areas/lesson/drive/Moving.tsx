/** While the car moves there is one key; what it marks is completed when parked. */
export function Moving({ count, onMark, onParked }: { count: number; onMark: () => void; onParked: () => void }) {
    return (
        <div className="grid gap-4">
            <button type="button" autoFocus className="key min-h-[62dvh] w-full flex-col text-5xl" data-tone="main" onClick={onMark}>
                Mark
                <span className="text-xl font-normal" aria-live="polite">
                    {count === 0 ? 'one press; say what it was when parked' : `${count} ${count === 1 ? 'moment' : 'moments'} in this round`}
                </span>
            </button>
            <div className="flex flex-wrap items-center justify-between gap-4">
                <p className="text-quiet">The supervising instructor presses, never the driver. In some places nobody may hold the device: mounted only.</p>
                <button type="button" className="key min-h-[88px] px-8 text-xl" onClick={onParked}>
                    Parked
                </button>
            </div>
        </div>
    );
}
