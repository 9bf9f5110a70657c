import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { answer, show } from '@/testing/answers';
import { unfold } from '@/api/folded';
import type { ApproachAlong } from '@/api/types';
import { WhoWaits } from './WhoWaits';

afterEach(cleanup);

it('says for whom we wait as a sentence, and who waits for us as it stands', () => {
    const [plan] = unfold<ApproachAlong>(answer('tool-approach'));
    show(<WhoWaits waits={plan!.gives_way} />);
    const said = screen.getAllByRole('listitem').map((one) => one.textContent);
    expect(said).toHaveLength(plan!.gives_way.length);
    for (const [i, { who, message }] of plan!.gives_way.entries()) {
        if (who === 'we') expect(said[i]).toBe(`We wait ${message.charAt(0).toLowerCase()}${message.slice(1)}`);
        else expect(said[i]).toBe(message);
    }
    expect(said[0]).toMatch(/^We wait for /);
});
