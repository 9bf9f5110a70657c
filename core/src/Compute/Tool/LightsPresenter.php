<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Judgement\Clears;
use NobleTurn\Core\Judgement\HeadOfOurs;
use NobleTurn\Core\Judgement\InsideTheLights;
use NobleTurn\Core\Judgement\LightHead;
use NobleTurn\Core\Judgement\Shown;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;

/** What is said at a crossroads under lights, at the line and inside. */
final readonly class LightsPresenter
{
    public function __construct(
        private RulePack $pack, private HeadOfOurs $heads, private bool $headsAreSaid, private InsideTheLights $inside, private bool $standsInside,
        private bool $theyStop, private bool $people,
    ) {
    }

    /** @return array<string, mixed> */
    public function result(): array
    {
        [$verdict, $message] = $this->standsInside ? $this->inside() : $this->atTheLine();
        $across = $this->heads->turnsAcross();

        return [
            'verdict' => $verdict, 'message' => Wording::in($this->pack, $message),
            'head' => $this->headsAreSaid ? [
                'ours' => $this->heads->index(), 'clears' => $this->heads->clears()->value,
                'message' => Wording::in($this->pack, $this->head()),
            ] : null,
            'watch' => $this->watch(),
            'red_is' => $this->standsInside
                ? Wording::in(
                    $this->pack, 'Red that comes on now is for those behind the line, not for who is over it. A light seen across the '
                    .'{junction} may be for those from the side.',
                ) : null,
            'holds' => $across ? $this->inside->holds() : null,
            'budget' => $across ? array_map(static fn (float $seconds): float => round($seconds, 1) + 0.0, [
                'red_s' => $this->inside->theirs->amberSeconds, 'last_passes_s' => $this->inside->lastPassesSeconds(),
                'out_s' => $this->inside->outSeconds(), 'green_s' => $this->inside->theirs->amberSeconds + $this->inside->allRedSeconds,
                'they_come_s' => $this->inside->theyComeSeconds(), 'spare_s' => $this->inside->spareSeconds(),
            ]) : null,
        ];
    }

    /** @return array{string, string} verdict and sentence */
    private function atTheLine(): array
    {
        $clears = $this->heads->clears();
        $peopleFirst = ['wait', 'Wait: people on the road we go into are first.'];

        return match (true) {
            $clears === Clears::Not => ['wait', $this->stops()],
            $clears === Clears::GivingWay && $this->heads->turnsAcross() && ! $this->theyStop => $this->enter(),
            $this->people && $this->heads->goes !== WayOut::Ahead => $peopleFirst,
            default => ['go', 'Go, once the {junction} is clear and a look both ways shows nobody who runs the red.'],
        };
    }

    /** @return array{string, string} */
    private function enter(): array
    {
        return match (true) {
            $this->inside->holds() === 0 => ['wait', 'There is no room to wait inside: behind the line until there is a gap.'],
            ! $this->inside->hasRoom() => ['wait', 'There is no room for one more inside: behind the line.'],
            $this->inside->spareSeconds() < 0.0 => ['enter', 'Wheels straight there. If no gap comes, time is short after the change: eyes on those who '
                .'come towards us and on the side the others start from.'],
            default => ['enter', 'Wheels straight there; on in a gap, or once they are seen to stop.'],
        };
    }

    /** @return array{string, string} */
    private function inside(): array
    {
        $spare = $this->inside->spareSeconds();
        $isAcross = $this->heads->turnsAcross();

        return match (true) {
            $this->people && $this->heads->goes !== WayOut::Ahead => ['wait', 'Wait: people cross the road we turn into.'],
            ! $isAcross => ['go', 'On and out, once the way is clear: red is not for who is over the line.'],
            ! $this->theyStop && $this->headsAreSaid && $this->heads->clears() === Clears::Fully => [
                'wait', 'The arrow is ours and they have red. Still: not before they are seen to stop.',
            ],
            ! $this->theyStop => ['wait', 'Wait inside, wheels straight, unless a gap comes. Whatever our light shows, theirs may still be green: not before '
                .'they are seen to stop.'],
            $spare >= InsideTheLights::CLEAR_S => [
                'go', sprintf('They stop: go now, without hurry. About %d s are left before the others come.', round($spare)),
            ],
            $spare >= 0.0 => ['go', 'They stop: go now, without delay.'],
            default => ['go', 'They stop, but late: those from the side may have green. Out now with an eye on them; who is inside is let out '
                .'first.'],
        };
    }

    private function stops(): string
    {
        $near = $this->heads->goes->value === $this->pack->keeps()->value;

        return match ($this->heads->head()?->shows) {
            null => 'None of them is plainly ours: behind the line until it is.',
            Shown::RedAmber => 'Behind the line, ready: green comes next.',
            Shown::Amber => '{Amber}: behind the line, unless we are so near that stopping is unsafe.',
            default => $near && $this->pack->turnOnRed() && $this->heads->head()->arrow === null
                ? 'Red: stand still at the line. A turn on red may follow where no sign forbids it, {giving way} to everybody.' : 'Red: behind the line.',
        };
    }

    /** @return list<string> */
    private function watch(): array
    {
        $people = 'people on the road we go into';

        return array_map(fn (string $text): string => Wording::part($this->pack, $text), match (true) {
            $this->heads->turnsAcross() => ['those who come towards us, in every lane', $people, 'our own light, and nobody else’s'],
            $this->heads->goes === WayOut::Ahead => ['both ways, for who still comes', 'whoever waits to turn across us'],
            default => ['the {near} mirror, for cycles', $people],
        });
    }

    /** Which head is ours, whose the others are, and what it is worth. */
    private function head(): string
    {
        $ours = $this->heads->head();
        $others = array_values(array_unique(array_map(self::named(...), array_filter(
            $this->heads->heads, fn (LightHead $head): bool => $head !== $ours && $this->isOthers($head),
        ))));
        $theirs = $others === [] ? '' : ' Not ours: '.implode(', ', $others).'.';

        $couldBe = array_filter($this->heads->heads, fn (LightHead $head): bool => ! $this->isOthers($head));

        return match (true) {
            $ours === null && $couldBe !== [] => 'Two of them could be ours and differ: which stands for our lane?'.$theirs,
            $ours === null => 'None of them is for our way.'.$theirs,
            default => 'Ours is '.self::named($ours).', '.$this->worth($ours).'.'.$theirs,
        };
    }

    private function isOthers(LightHead $head): bool
    {
        return $head->ofAnotherLane || ($head->arrow !== null && $head->arrow !== $this->heads->goes);
    }

    private function worth(LightHead $ours): string
    {
        return match ($this->heads->clears()) {
            Clears::Fully => 'and it clears us: nobody who meets us has green',
            Clears::GivingWay => $this->heads->turnsAcross()
                ? 'and it lets those opposite go too: it does not clear us' : 'and people on the road we go into are first',
            Clears::Not => 'and it shows '.match ($ours->shows) {
                Shown::RedAmber => 'red and {amber}', Shown::Amber => '{amber}', default => 'red',
            },
        };
    }

    private static function named(LightHead $head): string
    {
        $what = match ($head->arrow) {
            null => 'the full light', WayOut::Ahead => 'the arrow ahead', WayOut::Back => 'the arrow back',
            default => "the arrow to the {$head->arrow->value}",
        };

        return $head->ofAnotherLane ? "{$what} of another lane" : $what;
    }
}
