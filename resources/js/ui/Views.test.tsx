import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { useView, Views } from './Views';

afterEach(cleanup);

function Page({ of }: { of: Record<string, string> }) {
    const [view, show] = useView(of);
    return (
        <>
            <Views views={of} view={view} onView={show} />
            <output>{`${view} ${useLocation().search}`}</output>
        </>
    );
}

const open = (of: Record<string, string>, at = '/school') =>
    render(
        <MemoryRouter initialEntries={[at]}>
            <Page of={of} />
        </MemoryRouter>,
    );

const FEW = { people: 'People', letters: 'Letters' };
const MANY = { ...FEW, changes: 'What changed', keeping: 'How long learners are kept' };
const said = () => screen.getByRole('status').textContent;

it('shows what the address names, and the first where it names none or another', () => {
    for (const [at, view] of [
        ['/school', 'people'],
        ['/school?show=letters', 'letters'],
        ['/school?show=elsewhere', 'people'],
    ]) {
        open(FEW, at);
        expect(said()).toContain(`${view} `);
        expect(screen.getByRole('button', { pressed: true }).textContent).toBe(FEW[view as keyof typeof FEW]);
        cleanup();
    }
});

it('is chosen by its key, which then stands in the address', () => {
    open(FEW);
    expect(screen.queryByRole('combobox')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Letters' }));
    expect(said()).toBe('letters ?show=letters');
    expect(screen.getByRole('button', { pressed: true }).textContent).toBe('Letters');
});

it('is chosen from a list on a phone where there are many, which holds the same as the keys', () => {
    open(MANY, '/school?show=changes');
    const list = screen.getByRole<HTMLSelectElement>('combobox', { name: 'What to show' });
    expect(list.value).toBe('changes');
    const options = within(list)
        .getAllByRole('option')
        .map((option) => option.textContent);
    expect(options).toEqual(screen.getAllByRole('button').map((key) => key.textContent));
    fireEvent.change(list, { target: { value: 'keeping' } });
    expect(said()).toBe('keeping ?show=keeping');
    expect(screen.getByRole('button', { pressed: true }).textContent).toBe('How long learners are kept');
});
