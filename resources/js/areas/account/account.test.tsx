import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ArchiveList } from '@/archive/ArchiveList';
import { answer, server, show, written } from '@/testing/answers';
import { Devices } from './Devices';
import { ForgottenPassword } from './ForgottenPassword';
import { WayIn, wayInOf } from './WayIn';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the way in by letter', () => {
    it('is read from behind the #, and from nowhere else', () => {
        expect(wayInOf({ pathname: '/way-in', hash: '#email=a%2Bb%40c.test&token=12ab' })).toEqual({ email: 'a+b@c.test', token: '12ab' });
        expect(wayInOf({ pathname: '/way-in', hash: '' })).toEqual({ email: '', token: '' });
        expect(wayInOf({ pathname: '/learners', hash: '#email=a@b.test&token=1' })).toBeNull();
    });

    it('sends what the link said with the password, and leaves the link behind', async () => {
        const sent = server({ 'POST way-in': answer('session') });
        window.history.replaceState(null, '', '/way-in#email=a@b.test&token=12ab');
        show(<WayIn email="a@b.test" token="12ab" />);
        fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'three old boats' } });
        fireEvent.click(screen.getByRole('button', { name: 'Choose it and come in' }));
        await waitFor(() =>
            expect(written(sent)).toEqual([{ method: 'POST', path: 'way-in', body: { email: 'a@b.test', token: '12ab', password: 'three old boats' } }]),
        );
        await waitFor(() => expect(window.location.href).not.toContain('way-in'));
    });

    it('says why where the letter is spent, and keeps the password that was typed', async () => {
        server({ 'POST way-in': { message: 'x', errors: { token: ['This way in has been used.'] } } });
        show(<WayIn email="a@b.test" token="12ab" />);
        fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'three old boats' } });
        fireEvent.click(screen.getByLabelText('Show it'));
        expect(screen.getByLabelText<HTMLInputElement>('Password').type).toBe('text');
        fireEvent.click(screen.getByRole('button', { name: 'Choose it and come in' }));
        expect((await screen.findByRole('alert')).textContent).toContain('This way in has been used.');
        expect(screen.getByLabelText<HTMLInputElement>('Password').value).toBe('three old boats');
    });
});

describe('a forgotten password', () => {
    it('takes over what was typed at the sign-in, and says what the server says of it', async () => {
        const onBack = vi.fn();
        const sent = server({ 'POST forgotten-password': { message: 'A letter is in the outbox of your school.' } });
        show(<ForgottenPassword email="sam@example.test" onBack={onBack} />);
        fireEvent.click(screen.getByRole('button', { name: 'Ask for a new password' }));
        expect((await screen.findByRole('status')).textContent).toContain('A letter is in the outbox of your school.');
        expect(written(sent)[0]!.body).toEqual({ email: 'sam@example.test' });
        fireEvent.click(screen.getByRole('button', { name: 'Back to signing in' }));
        expect(onBack).toHaveBeenCalledOnce();
    });

    it('says it where too many were asked for', async () => {
        server({ 'POST forgotten-password': 429 });
        show(<ForgottenPassword email="sam@example.test" onBack={vi.fn()} />);
        fireEvent.click(screen.getByRole('button', { name: 'Ask for a new password' }));
        expect(await screen.findByRole('alert')).toBeTruthy();
    });
});

describe('where one is signed in', () => {
    it('can be ended anywhere but here', async () => {
        const [recorded] = answer('sessions');
        const here = { ...recorded!, id: 'here', here: true, device: 'Firefox on Linux' };
        const sent = server({ 'GET sessions': [here, recorded!] });
        show(<Devices />);
        expect(await screen.findByText(/this device/)).toBeTruthy();
        expect(screen.getAllByRole('button').map((key) => key.getAttribute('aria-label'))).toEqual([`Sign out ${recorded!.device}`]);
        fireEvent.click(screen.getByRole('button', { name: `Sign out ${recorded!.device}` }));
        await screen.findByText(`Signed out on ${recorded!.device}.`);
        expect(written(sent)).toEqual([{ method: 'DELETE', path: `sessions/${recorded!.id}`, body: undefined }]);
    });
});

describe('what was archived', () => {
    it('stands at the foot of its list with who did it, and comes back on one press', async () => {
        const archive = answer('archived');
        const sent = server({ 'GET archived': archive });
        show(<ArchiveList of="learners" />);
        expect(await screen.findByText('Archived (1)')).toBeTruthy();
        expect(screen.getByText(/by Una Ridge/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Bring Gus Away back', hidden: true }));
        await screen.findByText('Gus Away is back.');
        expect(written(sent)).toEqual([{ method: 'POST', path: `learners/${archive.learners[0]!.id}/restore`, body: undefined }]);
    });

    it('takes no room where there is nothing', async () => {
        const sent = server({ 'GET archived': answer('archived') });
        const { container } = show(<ArchiveList of="vehicles" />);
        await waitFor(() => expect(sent).toHaveLength(1));
        expect(container.querySelector('details')).toBeNull();
    });
});
