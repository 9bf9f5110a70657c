// Before the first paint: the theme this device was set to, so that a dark car is not lit up by a white page.
(function () {
    try {
        var theme = localStorage.getItem('noble-turn.theme');
        if (theme === 'day' || theme === 'night') document.documentElement.dataset.theme = theme;
    } catch (_) {
        // No storage: the system's own preference decides.
    }
})();
