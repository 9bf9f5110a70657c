<?php

declare(strict_types=1);

use NobleTurn\Core\Judgement\Clears;
use NobleTurn\Core\Judgement\HeadOfOurs;
use NobleTurn\Core\Judgement\LightHead;
use NobleTurn\Core\Judgement\Shown;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Trade\Side;

/**
 * @param  list<string>  $heads  "full green", "left red", "full red other"
 * @return array{?int, Clears}
 */
function headFor(string $goes, array $heads, Side $keeps = Side::Left): array
{
    $ours = new HeadOfOurs($keeps, WayOut::from($goes), array_map(static function (string $said): LightHead {
        $words = explode(' ', $said);

        return new LightHead($words[0] === 'full' ? null : WayOut::from($words[0]), Shown::from($words[1]), isset($words[2]));
    }, $heads));

    return [$ours->index(), $ours->clears()];
}

// Common practice, no source.
it('finds the head of our way and says what it is worth', function (string $goes, array $heads, ?int $index, Clears $clears): void {
    expect(headFor($goes, $heads))->toBe([$index, $clears]);
})->with([
    'green, straight on' => ['ahead', ['full green'], 0, Clears::Fully],
    'green, across: those opposite have it too' => ['right', ['full green'], 0, Clears::GivingWay],
    'green, to the near side: people' => ['left', ['full green'], 0, Clears::GivingWay],
    'a filter for another way is not ours' => ['right', ['full red', 'left green'], 0, Clears::Not],
    'nor does it clear who goes straight on' => ['ahead', ['left green', 'full red'], 1, Clears::Not],
    'a filter for ours beside a red' => ['left', ['full red', 'left green'], 1, Clears::Fully],
    'an arrow of ours clears us fully' => ['right', ['full green', 'right green'], 1, Clears::Fully],
    'not lit, it says nothing' => ['right', ['full green', 'right off'], 0, Clears::GivingWay],
    'an arrow of ours at red holds us beside a green' => ['left', ['full green', 'left red'], 1, Clears::Not],
    'another lane’s is not ours' => ['ahead', ['full green other', 'full red'], 1, Clears::Not],
    'two full lights that agree' => ['ahead', ['full green', 'full green'], 0, Clears::Fully],
    'two that differ: neither is' => ['ahead', ['full green', 'full red'], null, Clears::Not],
    'only arrows for others' => ['ahead', ['left green', 'right green'], null, Clears::Not],
    'green comes next, and is not here' => ['ahead', ['full red-amber'], 0, Clears::Not],
]);

it('never clears us by a head that is not ours, whatever it shows', function (): void {
    foreach (WayOut::cases() as $goes) {
        foreach (array_filter(WayOut::cases(), static fn (WayOut $one): bool => $one !== $goes) as $other) {
            foreach (Shown::cases() as $shows) {
                expect(headFor($goes->value, ['full red', "{$other->value} {$shows->value}"])[1])->toBe(Clears::Not)
                    ->and(headFor($goes->value, ['full red', "{$goes->value} {$shows->value} other"])[1])->toBe(Clears::Not);
            }
        }
    }
});

it('is mirrored where traffic is', function (): void {
    foreach (['left' => 'right', 'right' => 'left', 'ahead' => 'ahead'] as $here => $there) {
        foreach (['full green', "{$here} green", "{$here} red"] as $head) {
            expect(headFor($here, [$head, 'full red other'])[1])
                ->toBe(headFor($there, [str_replace($here, $there, $head), 'full red other'], Side::Right)[1]);
        }
    }
});
