import { configure } from '@testing-library/react';

// A time limit finds what hangs; on a busy machine a page may well take longer than the second it is usually given.
configure({ asyncUtilTimeout: 30_000 });

// What a browser has and jsdom has not. A test that wants another answer stubs it.
window.matchMedia = (query) =>
    Object.assign(new EventTarget(), { matches: false, media: query, onchange: null, addListener: () => undefined, removeListener: () => undefined });

window.ResizeObserver = class {
    observe = () => undefined;
    unobserve = () => undefined;
    disconnect = () => undefined;
};
