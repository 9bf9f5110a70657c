<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** What is believed of one step of one routine: a Gaussian on the logit scale. */
final readonly class Belief
{
    /** Ten per cent of a normal lie above so many standard deviations. */
    public const TENTH = 1.2815515655446004;

    /** Gauss-Hermite, nine points: nodes and weights (Abramowitz and Stegun, table 25.10). */
    private const NODES = [
        [0.0, 0.7202352156060510], [0.7235510187528376, 0.4326515590025557], [1.468553289216668, 0.08847452739437657],
        [2.266580584531843, 0.004943624275536947], [3.190993201781528, 3.960697726326438e-5],
    ];

    public function __construct(public float $mean, public float $variance)
    {
    }

    /** Chance of "unaided", the uncertainty averaged over. */
    public function unaided(float $harder = 0.0): float
    {
        return $this->outcomes($harder)[Ladder::TOP];
    }

    /** @return non-empty-list<float> for ranks 0 to 4 */
    public function outcomes(float $harder = 0.0): array
    {
        $sd = sqrt(2.0 * $this->variance);
        $sum = array_fill(0, Ladder::TOP + 1, 0.0);
        foreach (self::NODES as [$node, $weight]) {
            foreach ($node === 0.0 ? [0.0] : [-$node, $node] as $x) {
                foreach (Ladder::probabilities($this->mean - $harder + $sd * $x) as $rank => $p) {
                    $sum[$rank] += $weight * $p / sqrt(M_PI);
                }
            }
        }

        return array_map(static fn (float $p): float => max(1e-9, $p), array_values($sum));
    }

    /** @return array{float, float} the middle 80 per cent of what the chance may be */
    public function range(): array
    {
        $by = self::TENTH * sqrt($this->variance);

        return [Ladder::logistic($this->mean - $by), Ladder::logistic($this->mean + $by)];
    }
}
