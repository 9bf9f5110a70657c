<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Trade\Step;

/** What somebody who watches a drive sees, in the order in which they see it: as an assessment would. Common practice, no source. */
enum Watched: string
{
    case Direction = 'direction';
    case First = 'first';
    case Mirrors = 'which-mirrors';
    case Signal = 'signal';
    case Place = 'place';
    case Brake = 'brake';
    case Gear = 'gear';
    case Looks = 'looks';
    case Eyes = 'eyes';
    case Progress = 'progress';
    case Others = 'others';

    /** Where a kind of fault is seen other than where its step is. */
    private const SEEN = [
        'signal wrong' => self::Direction, 'mirrors wrong-side' => self::Direction, 'gave-up' => self::Direction,
        'mirrors missing' => self::First, 'mirrors late' => self::First, 'signal with-the-move' => self::First,
        'speed gear-wrong' => self::Gear, 'speed gear-late' => self::Gear, 'look eyes-off' => self::Eyes,
        'speed too-slow' => self::Progress, 'speed hurries' => self::Progress, 'speed stops-needlessly' => self::Progress,
        'speed half-hearted' => self::Progress, 'speed joins-slow' => self::Progress, 'speed slows-before-slip' => self::Progress,
        'look held-needlessly' => self::Progress,
        'look goes-unsafe' => self::Others, 'speed dives-on' => self::Others, 'misread' => self::Others,
        'bad-place' => self::Place, 'wheel-not-straight' => self::Place, 'veers' => self::Place,
    ];

    public function words(): string
    {
        return match ($this) {
            self::Direction => 'Direction given and followed',
            self::First => 'Mirrors or signal first',
            self::Mirrors => 'Which mirrors',
            self::Signal => 'Signal against the first change',
            self::Place => 'Place',
            self::Brake => 'Brake and clutch',
            self::Gear => 'Gear',
            self::Looks => 'Looks',
            self::Eyes => 'Eyes while steering',
            self::Progress => 'Progress',
            self::Others => 'What others had to do',
        };
    }

    /** Where a fault of a step is seen; of a step whose kind of fault was not said, where that step is. */
    public static function in(Step $step, ?string $fault): self
    {
        return self::SEEN["{$step->value} {$fault}"] ?? self::SEEN[(string) $fault] ?? match ($step) {
            Step::Mirrors => $fault === null ? self::First : self::Mirrors,
            Step::Signal => self::Signal,
            Step::Position => self::Place,
            Step::Speed => self::Brake,
            Step::Look => self::Looks,
        };
    }

    /** @return array<string, array<string, string>> by step and kind of fault; under an empty name where no kind was said */
    public static function all(): array
    {
        $of = static fn (Step $step, array $codes): array => array_combine(
            ['', ...$codes],
            array_map(static fn (?string $code): string => self::in($step, $code)->value, [null, ...$codes]),
        );

        return array_combine(
            array_column(Step::cases(), 'value'),
            array_map(static fn (Step $step): array => $of($step, array_keys(Faults::words()[$step->value])), Step::cases()),
        );
    }
}
