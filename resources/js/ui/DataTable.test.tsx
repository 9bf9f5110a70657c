import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { DataTable } from './DataTable';

afterEach(cleanup);

const table = () =>
    render(
        <DataTable
            label="Other distances"
            least={28}
            heads={['To the line', 'What fits', 'Over the line']}
            rows={[
                { key: 1, head: '10 m', cells: ['go on', 'before red'], strong: true },
                { key: 2, head: '20 m', cells: ['stop', '1.5 s after red'], quiet: true },
            ]}
        />,
    );

describe('a table of figures', () => {
    it('has heads of columns and of rows, a name, and is reached by the keyboard', () => {
        table();
        const region = screen.getByRole('region', { name: 'Other distances' });
        expect(region.tabIndex).toBe(0);
        expect(
            within(region)
                .getAllByRole('columnheader')
                .map(({ textContent }) => textContent),
        ).toEqual(['To the line', 'What fits', 'Over the line']);
        expect(
            within(region)
                .getAllByRole('rowheader')
                .map(({ textContent }) => textContent),
        ).toEqual(['10 m', '20 m']);
    });

    it('breaks on a phone what is a sentence, never a figure from its unit; wider than that it keeps its least width', () => {
        table();
        const classes = (name: string) => [...screen.getByRole('cell', { name }).classList];
        expect(classes('1.5 s after red')).not.toContain('whitespace-nowrap');
        expect(classes('1.5 s after red')).toContain('sm:whitespace-nowrap');
        expect(classes('stop')).toContain('whitespace-nowrap');
        expect(screen.getByRole('table').style.getPropertyValue('--least')).toBe('28rem');
    });

    it('stands as a list on a phone where cells are sentences: a table still for who hears it, its heads said once', () => {
        render(<DataTable label="Causes" least={52} stacks heads={['Step', 'Needed help']} rows={[{ key: 1, head: 'Look', cells: ['21 of 32'] }]} />);
        expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual(['Step', 'Needed help']);
        const cell = screen.getByRole('cell', { name: '21 of 32' });
        expect(cell.classList).toContain('max-sm:block');
        expect([...cell.querySelectorAll('[aria-hidden]')].map(({ textContent }) => textContent)).toEqual(['Needed help']);
    });
});
