import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { Slider } from './Slider';

afterEach(cleanup);

interface Of {
    start: number;
    min: number;
    max: number;
    step: number;
    per?: number;
    fine?: number;
    words?: (value: number) => string;
}

function Held({ start, words = (value) => `${value} m`, ...rest }: Of) {
    const [value, setValue] = useState(start);
    return <Slider label="Far" value={value} words={words} onChange={setValue} {...rest} />;
}

function typing(text: string, of: Of) {
    render(<Held {...of} />);
    const field = screen.getByLabelText<HTMLInputElement>('Far, typed');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: text } });
    fireEvent.blur(field);
    return field.value;
}

const TENS = { start: 50, min: 0, max: 300, step: 10 };

describe('a slider that is typed into', () => {
    it.each([
        ['63', '63 m'],
        ['63 m', '63 m'],
        ['999', '300 m'],
        ['-4', '0 m'],
        ['far', '50 m'],
        ['', '50 m'],
    ])('takes %j as %s', (text, said) => expect(typing(text, TENS)).toBe(said));

    it('keeps parts of a unit where its steps have them, with a comma too', () =>
        expect(typing('0,47', { start: 0.3, min: 0, max: 1, step: 0.05 })).toBe('0.45 m'));

    it('is rounded to what can be answered', () => expect(typing('47', { ...TENS, step: 2, fine: 2 })).toBe('48 m'));

    it('is typed in the unit it is said in', () => {
        const feet = { start: 0, min: 0, max: 100, step: 25 * 0.3048, per: 0.3048, words: (value: number) => `${Math.round(value / 0.3048)} ft` };
        expect(typing('110', feet)).toBe('110 ft');
        cleanup();
        const hill = { start: 0, min: -0.15, max: 0.15, step: 0.01, per: 0.01, words: (value: number) => `${Math.round(value * 100)} %` };
        expect(typing('−6', hill)).toBe('-6 %');
    });

    it('begins with the bare number, and Escape brings it back', () => {
        render(<Held {...TENS} />);
        const field = screen.getByLabelText<HTMLInputElement>('Far, typed');
        fireEvent.focus(field);
        expect(field.value).toBe('50');
        fireEvent.change(field, { target: { value: '7' } });
        fireEvent.keyDown(field, { key: 'Escape' });
        fireEvent.blur(field);
        expect(field.value).toBe('50 m');
    });

    it('has a key on either side that stops at the end', () => {
        render(<Held {...TENS} start={295} />);
        fireEvent.click(screen.getByRole('button', { name: 'Far: more' }));
        expect(screen.getByLabelText<HTMLInputElement>('Far, typed').value).toBe('300 m');
        expect(screen.getByRole('button', { name: 'Far: more' })).toHaveProperty('disabled', true);
    });
});
