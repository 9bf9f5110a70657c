/** The whole screen for one picture, where the browser lets a page have it; a press has to ask for it. */
export function fillTheScreen(): void {
    if (document.fullscreenEnabled) void document.documentElement.requestFullscreen().catch(() => undefined);
}

export function giveTheScreenBack(): void {
    if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
}
