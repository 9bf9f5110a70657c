<?php

declare(strict_types=1);

use NobleTurn\Core\Judgement\LineOf;
use NobleTurn\Core\Judgement\StandsAtLine;
use NobleTurn\Core\Judgement\Turn;
use NobleTurn\Core\Judgement\WhoseTurn;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\TurnRule;
use NobleTurn\Core\Trade\Side;

/** "right ahead 2" : who is at which line, where they go, and for how long they have been there. */
function standing(string $said): StandsAtLine
{
    [$line, $goes, $waits] = explode(' ', $said);

    return new StandsAtLine(LineOf::from($line), WayOut::from($goes), (float) $waits);
}

/** @param  list<string>  $others */
function whoseTurn(string $us, array $others, Side $keeps = Side::Right, TurnRule $rule = TurnRule::Arrival): WhoseTurn
{
    return new WhoseTurn($keeps, $rule, standing("ours {$us}"), array_map(standing(...), $others), false);
}

/**
 * @param  list<StandsAtLine>  $found
 * @return list<string>
 */
function linesOf(array $found): array
{
    return array_map(static fn (StandsAtLine $one): string => $one->line->value, $found);
}

/**
 * @param  list<string>  $others
 * @return array{list<string>, list<string>, bool} who goes before us, who with us, and whether nobody does by rule
 */
function turnOf(string $us, array $others, Side $keeps = Side::Right, TurnRule $rule = TurnRule::Arrival): array
{
    $turns = whoseTurn($us, $others, $keeps, $rule);

    return [linesOf($turns->before()), linesOf($turns->together()), $turns->isRound()];
}

// From memory: driver handbooks of North American states.
it('lets whoever came first go first; of those together the one on the right; and who turns left yields to the one opposite', function (): void {
    expect(turnOf('ahead 0', ['left ahead 3']))->toBe([['left'], [], false])
        ->and(turnOf('ahead 3', ['right ahead 0']))->toBe([[], [], false])
        ->and(turnOf('ahead 1', ['right ahead 1']))->toBe([['right'], [], false])
        ->and(turnOf('ahead 1', ['left ahead 1']))->toBe([[], [], false])
        // Opposite and both straight: both.
        ->and(turnOf('ahead 1', ['opposite ahead 1']))->toBe([[], ['opposite'], false])
        ->and(turnOf('left 1', ['opposite ahead 1']))->toBe([['opposite'], [], false])
        ->and(turnOf('ahead 1', ['opposite left 1']))->toBe([[], [], false])
        // Both to the left pass in front of each other.
        ->and(turnOf('left 1', ['opposite left 1']))->toBe([[], ['opposite'], false])
        // To the right into the road that the one opposite turns left into.
        ->and(turnOf('right 1', ['opposite left 1']))->toBe([[], [], false])
        ->and(turnOf('left 1', ['opposite right 1']))->toBe([['opposite'], [], false])
        // A right turn and whoever goes straight on from the right have nothing to do with each other.
        ->and(turnOf('right 0', ['right ahead 5']))->toBe([[], ['right'], false])
        ->and(turnOf('right 0', ['left ahead 5']))->toBe([['left'], [], false])
        // Who came far earlier to turn left still goes first.
        ->and(turnOf('ahead 0', ['opposite left 4']))->toBe([['opposite'], [], false]);
});

it('says that four at once are nobody’s turn by rule, and three are', function (): void {
    $all = ['right ahead 1', 'opposite ahead 1', 'left ahead 1'];
    expect(turnOf('ahead 1', $all)[2])->toBeTrue()->and(turnOf('ahead 1', array_slice($all, 0, 2))[2])->toBeFalse()
        ->and(turnOf('ahead 9', $all))->toBe([[], ['opposite'], false]);
});

/** What somebody else at the crossroads sees: the same people, turned until their own line is ours. */
function seenFrom(string $who, array $all, TurnRule $rule, Side $keeps): WhoseTurn
{
    $at = LineOf::from(explode(' ', $who)[0])->quarter();
    $turned = array_map(static function (string $said) use ($at): string {
        [$line, $rest] = explode(' ', $said, 2);

        $quarter = (LineOf::from($line)->quarter() - $at + 4) % 4;

        return array_values(array_filter(LineOf::cases(), static fn (LineOf $one): bool => $one->quarter() === $quarter))[0]->value." {$rest}";
    }, $all);
    $us = array_values(array_filter($turned, static fn (string $said): bool => str_starts_with($said, 'ours')))[0];

    return whoseTurn(substr($us, 5), array_values(array_diff($turned, [$us])), $keeps, $rule);
}

it('never lets two who meet both go, nor both wait for each other, wherever one looks from', function (TurnRule $rule, Side $keeps): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(7));
    for ($i = 0; $i < 400; $i++) {
        $lines = array_slice($random->shuffleArray(['right', 'opposite', 'left']), 0, $random->getInt(1, 3));
        $all = array_map(static fn (string $line): string => $line.' '.WayOut::cases()[$random->getInt(0, 3)]->value.' '.$random->getInt(0, 8) / 2,
            ['ours', ...$lines]);
        $mine = seenFrom($all[0], $all, $rule, $keeps);
        foreach (array_slice($all, 1) as $said) {
            $line = explode(' ', $said)[0];
            $theirs = seenFrom($said, $all, $rule, $keeps);
            $us = ['right' => 'left', 'left' => 'right', 'opposite' => 'opposite'][$line];
            [$before, $after] = [in_array($line, linesOf($mine->before()), true), in_array($us, linesOf($theirs->before()), true)];
            expect($before && $after)->toBeFalse()
                ->and(in_array($line, linesOf($mine->together()), true))->toBe(in_array($us, linesOf($theirs->together()), true))
                ->and(in_array($line, linesOf($mine->undecided()), true))->toBe(in_array($us, linesOf($theirs->undecided()), true));
            if ($mine->turn() === Turn::Ours && $theirs->turn() === Turn::Ours) {
                expect(linesOf($mine->together()))->toContain($line);
            }
        }
    }
})->with(TurnRule::cases())->with(Side::cases());

it('puts everybody in an order in which nobody goes before whom they wait for, and those at the same time do not meet', function (Side $keeps): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(11));
    $complete = 0;
    for ($i = 0; $i < 300; $i++) {
        $said = static fn (string $line): string => $line.' '.WayOut::cases()[$random->getInt(0, 2)]->value.' '.$random->getInt(0, 12);
        $all = array_map($said, ['ours', 'right', 'opposite', 'left']);
        $order = seenFrom($all[0], $all, TurnRule::Arrival, $keeps)->order();
        $round = [];
        foreach ($order as $turn => $group) {
            foreach (linesOf($group) as $line) {
                $round[$line] = $turn;
            }
        }
        $complete += count($round) === 4 ? 1 : 0;
        foreach (array_intersect(['right', 'opposite', 'left'], array_keys($round)) as $line) {
            $turns = seenFrom($all[0], $all, TurnRule::Arrival, $keeps);
            if (isset($round['ours'])) {
                expect(in_array($line, linesOf($turns->before()), true))
                    ->toBe($round[$line] < $round['ours'] && ! in_array($line, linesOf($turns->together()), true));
            }
        }
    }
    // A round of four is rare where who came first counts.
    expect($complete)->toBeGreaterThan(280);
})->with(Side::cases());

it('goes from waiting over a look to going as we are there longer, never from the one to the other at once', function (): void {
    $turns = array_map(
        static fn (int $tenths): Turn => whoseTurn('ahead '.$tenths / 10, ['right ahead 3'])->turn(), range(0, 60),
    );
    foreach (array_slice($turns, 1) as $i => $now) {
        expect([$turns[$i], $now])->not->toBe([Turn::Theirs, Turn::Ours])->not->toBe([Turn::Ours, Turn::Theirs]);
    }
    // The one on the right goes first together with us, and where they came first: there is nothing to doubt until we came plainly before.
    expect($turns[0])->toBe(Turn::Theirs)->and($turns[30])->toBe(Turn::Theirs)->and($turns[40])->toBe(Turn::Nobodys)->and($turns[60])->toBe(Turn::Ours);
});

// From memory: the codes of the places.
it('knows who goes first where there is no sign: nobody, whoever comes from the right, or who came first', function (): void {
    $at = static fn (string $us, string $them, TurnRule $rule): Turn => whoseTurn($us, [$them], Side::Left, $rule)->turn();
    expect($at('ahead 0', 'right ahead 0', TurnRule::Nobody))->toBe(Turn::Nobodys)
        ->and($at('ahead 9', 'left ahead 0', TurnRule::Nobody))->toBe(Turn::Nobodys)
        ->and($at('ahead 9', 'right ahead 0', TurnRule::FromTheRight))->toBe(Turn::Theirs)
        ->and($at('ahead 0', 'left ahead 9', TurnRule::FromTheRight))->toBe(Turn::Ours)
        // Across those who come towards us: they first, whatever the rule.
        ->and($at('right 0', 'opposite ahead 0', TurnRule::Nobody))->toBe(Turn::Theirs)
        ->and($at('ahead 0', 'opposite right 0', TurnRule::FromTheRight))->toBe(Turn::Ours)
        ->and($at('left 0', 'right left 0', TurnRule::Nobody))->toBe(Turn::Ours);
});

it('is mirrored where traffic is, but for the one on the right, who is on the right everywhere', function (): void {
    $mirror = ['left' => 'right', 'right' => 'left', 'ahead' => 'ahead', 'back' => 'back', 'opposite' => 'opposite'];
    foreach (['left', 'ahead', 'right', 'back'] as $us) {
        foreach (['left', 'opposite', 'right'] as $line) {
            foreach (['left', 'ahead', 'right', 'back'] as $them) {
                [$before, $together] = turnOf("{$us} 0", ["{$line} {$them} 3"]);
                [$there, $with] = turnOf("{$mirror[$us]} 0", ["{$mirror[$line]} {$mirror[$them]} 3"], Side::Left);
                expect(count($there))->toBe(count($before))->and(count($with))->toBe(count($together));
            }
        }
    }
});
