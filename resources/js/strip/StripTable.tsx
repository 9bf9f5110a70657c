import type { Drawable } from './plan';
import { inUnit, STEP_WORDS } from './words';

const UNITS = { m: 'metres', ft: 'feet', s: 'seconds' };

/** The same strip for whoever cannot see it, and on paper below the picture. */
export function StripTable({ plan, id }: { plan: Drawable; id: string }) {
    return (
        <div className="not-on-card sr-only print:not-sr-only">
            <table id={id} className="w-full text-left">
                <caption>
                    {plan.title}: where each step belongs, in {UNITS[plan.unit]} to the line
                </caption>
                <thead>
                    <tr>
                        <th scope="col">Step</th>
                        <th scope="col">Earliest</th>
                        <th scope="col">Best</th>
                        <th scope="col">Latest</th>
                        <th scope="col">Seconds to go</th>
                    </tr>
                </thead>
                <tbody>
                    {plan.steps.map((step) => (
                        <tr key={step.step}>
                            <th scope="row">{STEP_WORDS[step.step]}</th>
                            <td>{inUnit(step.earliest, plan.unit).toFixed(0)}</td>
                            <td>{inUnit(step.best, plan.unit).toFixed(0)}</td>
                            <td>{inUnit(step.latest, plan.unit).toFixed(0)}</td>
                            <td>{step.best_s.toFixed(1)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
