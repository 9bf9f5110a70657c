<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Trade\Side;

/**
 * Which of several heads in view is ours: those of another lane are not, an arrow for another way is not. An arrow for our way decides while it is lit; while
 * it is not, the full light does.
 */
final readonly class HeadOfOurs
{
    /** @param  list<LightHead>  $heads */
    public function __construct(private Side $keeps, public WayOut $goes, public array $heads)
    {
    }

    /** Its place in the list; null where none is ours, or two that could be ours show different things. */
    public function index(): ?int
    {
        $arrows = $this->having(fn (LightHead $head): bool => $head->arrow === $this->goes && $head->shows !== Shown::Off);
        $could = $arrows === [] ? $this->having(static fn (LightHead $head): bool => $head->arrow === null) : $arrows;
        foreach ($could as $head) {
            if ($head->shows !== reset($could)->shows) {
                return null;
            }
        }

        return array_key_first($could);
    }

    public function head(): ?LightHead
    {
        $index = $this->index();

        return $index === null ? null : $this->heads[$index];
    }

    public function clears(): Clears
    {
        $head = $this->head();

        return match (true) {
            $head?->shows !== Shown::Green => Clears::Not,
            $head->arrow !== null || $this->goes === WayOut::Ahead => Clears::Fully,
            default => Clears::GivingWay,
        };
    }

    /** To the side of those who come towards us, or all the way round. */
    public function turnsAcross(): bool
    {
        return $this->goes === WayOut::Back || $this->goes->value === $this->keeps->other()->value;
    }

    /**
     * @param  \Closure(LightHead): bool  $such
     * @return array<int, LightHead> of our lane, by their places in the list
     */
    private function having(\Closure $such): array
    {
        return array_filter($this->heads, static fn (LightHead $head): bool => ! $head->ofAnotherLane && $such($head));
    }
}
