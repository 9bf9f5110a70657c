<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * By how much the mean of what somebody may be like lies beside the mode: marks that are nearly all unaided leave more room above than below. To the
 * first order, from the third derivatives of the log-likelihood there (from memory: H. Rue, S. Martino and N. Chopin, "Approximate Bayesian inference for
 * latent Gaussian models by using integrated nested Laplace approximations", Journal of the Royal Statistical Society B 71 (2009), 3.2.3).
 */
final readonly class Skew
{
    /**
     * @param  array<int, float>  $shared  logits, by place
     * @param  array<string, float>  $own  of what is a cell's alone, by cell, logits; besides what comes to it through the shared parts
     */
    private function __construct(public array $shared, public array $own)
    {
    }

    public static function of(Mode $mode, Rows $rows): self
    {
        $shared = array_fill(0, count($mode->shared), 0.0);
        $own = array_fill_keys(array_keys($mode->own), 0.0);
        foreach ($rows->groups as $group) {
            // How sure the rows of a group are differs little: what else they tell of, conditions and places, is left out of it.
            $variance = $mode->variance($group['cell'], $group['parts']);
            foreach ($group['rows'] as $row) {
                $pull = 0.5 * $variance * $row['weight'] * Ladder::third($row['rank'], $mode->ability($group, $row));
                $own[$group['cell']] += $pull;
                foreach ($group['parts'] as $i) {
                    $shared[$i] += $pull;
                }
                foreach ($row['more'] as $i => $x) {
                    $shared[$i] += $x * $pull;
                }
            }
        }
        foreach ($mode->cells as $cell => ['weight' => $weight, 'cross' => $cross]) {
            $own[$cell] /= $mode->ownPrior + $weight;
            foreach ($cross as $i => $x) {
                $shared[$i] -= $x * $own[$cell];
            }
        }

        return new self($shared === [] ? [] : $mode->system->solve($shared), $own);
    }
}
