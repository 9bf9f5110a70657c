import { STEPS } from '@/api/types';
import { STEP_WORDS } from './words';

/** The five steps as options of a select. */
export function StepOptions() {
    return STEPS.map((step) => (
        <option key={step} value={step}>
            {STEP_WORDS[step]}
        </option>
    ));
}
