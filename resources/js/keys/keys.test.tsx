import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { MemoryRouter, Route, Routes, useNavigate } from 'react-router';
import { useAreaKeys } from './keys';

afterEach(cleanup);

function Frame() {
    const awaited = useAreaKeys();
    const navigate = useNavigate();
    return (
        <>
            {awaited && <p role="status">Go to</p>}
            <input aria-label="name" />
            <button onClick={() => void navigate('/learners')}>It changes</button>
            <Routes>
                <Route path="/" element={<h1>Today</h1>} />
                <Route path="/bench" element={<h1>Bench</h1>} />
                <Route path="/learners" element={<h1>Learners</h1>} />
            </Routes>
        </>
    );
}
const open = () =>
    render(
        <MemoryRouter>
            <Frame />
        </MemoryRouter>,
    );
const press = (key: string, target: Element = document.body) => fireEvent.keyDown(target, { key });
const page = () => screen.getByRole('heading').textContent;

describe('g and a letter', () => {
    it('lead to an area, and say meanwhile where to', () => {
        open();
        press('g');
        expect(screen.getByRole('status')).toBeTruthy();
        press('b');
        expect(page()).toBe('Bench');
        expect(screen.queryByRole('status')).toBeNull();
        // The page stands: keys are its own again, and g begins anew.
        press('l');
        expect(page()).toBe('Bench');
        press('g');
        press('l');
        expect(page()).toBe('Learners');
    });

    it('lead there too where the page changed by itself between the two', () => {
        open();
        press('g');
        fireEvent.click(screen.getByRole('button', { name: 'It changes' }));
        expect(page()).toBe('Learners');
        press('b');
        expect(page()).toBe('Bench');
    });

    it('stay where they are on any other letter, on a press of the pointer, and while somebody types', () => {
        open();
        press('g');
        press('x');
        press('b');
        expect(page()).toBe('Today');
        press('g');
        fireEvent.pointerDown(document.body);
        press('b');
        expect(page()).toBe('Today');
        press('g', screen.getByLabelText('name'));
        press('b', screen.getByLabelText('name'));
        expect(page()).toBe('Today');
    });
});
