/** Something that changes now and then and is shown where it is known. */
export class Noticed<T> {
    private readonly listeners = new Set<() => void>();

    constructor(private value: T) {}

    get = (): T => this.value;

    set(value: T): void {
        if (Object.is(value, this.value)) return;
        this.value = value;
        this.listeners.forEach((listener) => listener());
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };
}
