/** Ways out and lights as a form offers them. */
export const WAYS_OUT = { left: 'Left', ahead: 'Straight on', right: 'Right', back: 'Back where it came from' } as const;
export const LIGHTS = { green: 'Just turned green', 'green-long': 'Green for long', changing: 'Changing', red: 'Red' } as const;
