import type { ApproachPlan } from '@/api/types';
import { STEP_WORDS } from './words';

/** The same strip for whoever cannot see it, and on paper below the picture. */
export function StripTable({ plan, id }: { plan: ApproachPlan; id: string }) {
    return (
        <div className="sr-only print:not-sr-only">
            <table id={id} className="w-full text-left">
                <caption>{plan.title}: where each step belongs, in metres to the line</caption>
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
                            <td>{step.earliest_m.toFixed(0)}</td>
                            <td>{step.best_m.toFixed(0)}</td>
                            <td>{step.latest_m.toFixed(0)}</td>
                            <td>{step.best_s.toFixed(1)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
