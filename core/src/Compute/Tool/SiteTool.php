<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\Difficulty;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\LengthUnit;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** A place where roads meet, drawn once: which ways lead through it, which routine each is, and what is asked of its approach. */
final class SiteTool implements Tool
{
    public function name(): string
    {
        return 'site';
    }

    public function about(): string
    {
        return 'From the roads that meet to every way through them: which routine it is, why, what the approach tool is asked, and which figures nobody '
            .'has measured. Of one way, named by from and to, also what to measure first.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('kind', 'what the roads meet at', SiteKind::class)->required(),
            ArmField::field()->required(),
            new TextField('from', 'the arm one comes in by, to ask about one way', 20),
            new TextField('to', 'the arm one goes out by', 20),
        );
    }

    public function output(): array
    {
        return [
            'law' => Out::text('whose law it is'),
            'keeps' => Out::choice(Side::class, 'the side of the road traffic keeps to'),
            'offers' => Out::object([
                'controls' => Out::list(Out::choice(Control::class), 'what can govern a mouth there'),
                'centre_lane' => Out::flag('whether there are lanes in the middle for turns of both directions'),
            ]),
            'ways' => Out::list(Out::object([
                'from' => Out::text('arm'), 'to' => Out::text('arm'),
                'out' => Out::choice(WayOut::class, 'the way out, as it is said'),
                'turn_deg' => Out::number('how far one turns, + to the right'),
                'exit_number' => Out::integer('which exit of a roundabout, in driving order', nullable: true),
                'routine' => Out::choice(RoutineCode::class), 'title' => Out::text('its name'),
                'because' => Out::text('why it is that routine'),
                'meets' => Out::object([
                    'left' => Out::text('arm seen to the left from our line', nullable: true), 'right' => Out::text('to the right', nullable: true),
                ]),
                'also' => Out::list(Out::object(['routine' => Out::choice(RoutineCode::class), 'title' => Out::text('its name')]),
                    'taught on the same way besides'),
                'difficulty' => Out::object([
                    'score' => Out::number('0 to under 1, from what is there (assumed)'), 'words' => Out::choice(['easy', 'middling', 'hard']),
                    'reasons' => Out::list(['type' => 'string'], 'what makes it so, the heaviest first'),
                ]),
                'tool' => Out::text('which tool plans it; null where none does', nullable: true),
                'inputs' => Out::maybe(['type' => 'object'], 'what that tool is asked'),
            ]), 'all that can be driven, by the arm one comes in by, from the left round'),
            'closed' => Out::list(Out::object([
                'from' => Out::text('arm'), 'to' => Out::text('arm'), 'message' => Out::text('why nobody may drive it'),
            ]), 'what one-way roads forbid'),
            'measured' => Out::list(Out::object([
                'arm' => Out::text('arm'), 'of' => Out::choice(MeasuresField::OF), 'value_m' => Out::number('weighed by the doubt of each measure'),
                'error_m' => Out::number('give or take: two times in three the truth lies within it'), 'agrees' => Out::flag('whether the measures agree'),
                'words' => Out::text('as it is said'), 'message' => Out::text('what to do where they disagree', nullable: true),
            ]), 'each length that was measured'),
            'measure_first' => Out::list(MeasureFirst::schema(),
                'of the way asked about: what its plan hangs on that nobody knows well, the most important first'),
        ];
    }

    public function effort(Values $input): float
    {
        $arms = count($input->objects('arms'));

        return Effort::QUICK * ($arms ** 2 / 4.0 + ($input->has('from') ? MeasureFirst::PLANS : 0));
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $kind = $input->choice('kind', SiteKind::class) ?? SiteKind::Junction;
        $arms = $said = $measured = [];
        foreach ($input->objects('arms') as $i => $arm) {
            $arms[] = $read = ArmField::read($arm, $kind, $pack, "arms.{$i}.");
            $said[$read->id] = $arm;
            $measured[$read->id] = MeasuresField::read($arm, "arms.{$i}.");
        }
        $site = Site::of($kind, $arms);
        $facts = static fn (Way $way): array => WayFacts::of($way, $said[$way->from->id], $measured[$way->from->id], $said, $pack);
        $ways = WayReader::all($site, $pack);
        $difficulties = array_map(
            static fn (Way $way): Difficulty => Difficulty::of($way, self::approach($way, $facts($way), $pack, array_search($way->from, $arms, true))), $ways,
        );

        return new Answer($pack->code(), $pack->version(), [
            'law' => $pack->name(),
            'keeps' => $pack->keeps()->value,
            'offers' => ['controls' => array_column(ArmField::controls($kind, $pack), 'value'), 'centre_lane' => ! in_array(RoutineCode::CentreLaneLeft,
                $pack->lacks(), true)],
            'ways' => array_map(
                static fn (Way $way, Difficulty $difficulty): array => self::way($way, $difficulty, $facts($way), $pack), $ways, $difficulties,
            ),
            'closed' => self::closed($site),
            'measured' => self::measured($arms, $measured, $pack->lengthUnit()),
            'measure_first' => self::first($input, $site, $ways, $facts, $measured, $pack),
        ], self::assumed($site, $pack), self::warnings($site, $measured, $pack->lengthUnit()));
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private static function way(Way $way, Difficulty $difficulty, array $facts, RulePack $pack): array
    {
        $title = static fn (RoutineCode $routine): string => Card::of($routine, $pack, new Practice([], $pack))->title;
        $tool = PlannedBy::tool($way->routine);

        return [
            'from' => $way->from->id, 'to' => $way->to->id, 'out' => $way->out->value, 'turn_deg' => round($way->turnDegrees, 1),
            'exit_number' => $way->exitNumber, 'routine' => $way->routine->value, 'title' => $title($way->routine), 'because' => Wording::in($pack,
                $way->because),
            'meets' => ['left' => ($way->meets['left'] ?? null)?->id, 'right' => ($way->meets['right'] ?? null)?->id],
            'also' => array_map(static fn (RoutineCode $also): array => ['routine' => $also->value, 'title' => $title($also)], $way->also),
            'difficulty' => [
                'score' => round($difficulty->score, 3), 'words' => $difficulty->words(), 'reasons' => array_column($difficulty->reasons, 'message'),
            ],
            'tool' => $tool, 'inputs' => $tool === null ? null : PlannedBy::inputs($way->routine, $facts, $pack),
        ];
    }

    /**
     * The approach of a way; what contradicts itself on an arm is refused there, not where it is planned.
     *
     * @param  array<string, mixed>  $facts
     *
     * @throws BadInput
     */
    private static function approach(Way $way, array $facts, RulePack $pack, int|string|false $arm): ?Approach
    {
        if (PlannedBy::tool($way->routine) === null) {
            return null;
        }
        try {
            return MeasureFirst::approach(PlannedBy::inputs($way->routine, $facts, $pack));
        } catch (BadInput $bad) {
            throw BadInput::of(array_combine(array_map(static fn (string $field): string => "arms.{$arm}.{$field}", array_keys($bad->errors)), $bad->errors));
        }
    }

    /** @return list<array{from: string, to: string, message: string}> */
    private static function closed(Site $site): array
    {
        $closed = [];
        foreach ($site->arms as $from) {
            foreach ($site->before($from) as $to) {
                if (! $from->leadsIn()) {
                    $closed[] = ['from' => $from->id, 'to' => $to->id, 'message' => "{$from->name} is one-way, away from here: nobody comes in by it."];
                } elseif (! $to->leadsOut()) {
                    $closed[] = ['from' => $from->id, 'to' => $to->id, 'message' => "{$to->name} is one-way, towards us: no entry."];
                }
            }
        }

        return $closed;
    }

    /**
     * @param  list<Arm>  $arms
     * @param  array<string, array<string, Measured>>  $measured
     * @return list<array<string, mixed>>
     */
    private static function measured(array $arms, array $measured, LengthUnit $unit): array
    {
        $rows = [];
        foreach ($arms as $arm) {
            foreach ($measured[$arm->id] ?? [] as $of => $length) {
                $rows[] = [
                    'arm' => $arm->id, 'of' => $of, 'value_m' => round($length->metres, 2), 'error_m' => round($length->errorMetres, 2),
                    'agrees' => $length->agrees(), 'words' => $length->words($unit), 'message' => $length->disagreement($unit),
                ];
            }
        }

        return $rows;
    }

    /**
     * @param  list<Way>  $ways
     * @param  \Closure(Way): array<string, mixed>  $facts
     * @param  array<string, array<string, Measured>>  $measured
     * @return list<array<string, mixed>>
     */
    private static function first(Values $input, Site $site, array $ways, \Closure $facts, array $measured, RulePack $pack): array
    {
        if (! $input->has('from') && ! $input->has('to')) {
            return [];
        }
        $from = $site->arm($input->text('from') ?? throw BadInput::field('from', 'is missing beside to.'), 'from');
        $to = $site->arm($input->text('to') ?? throw BadInput::field('to', 'is missing beside from.'), 'to');
        foreach ($ways as $way) {
            if ($way->from === $from && $way->to === $to) {
                return PlannedBy::tool($way->routine) === null ? [] : MeasureFirst::of($way->routine, $facts($way), $measured[$from->id] ?? [], $pack);
            }
        }
        throw BadInput::field('to', 'must be an arm that can be driven to from '.$from->id.'.');
    }

    /** @return list<Assumption> */
    private static function assumed(Site $site, RulePack $pack): array
    {
        $limits = array_map(
            static fn (Arm $arm): Assumption => CommonFields::default("limit of {$arm->name}", round($pack->townLimit()->inMetresPerSecond(), 3), 'm/s'),
            array_filter($site->arms, static fn (Arm $arm): bool => $arm->limit === null),
        );

        return [CommonFields::default('straight on is within', WayReader::AHEAD, 'degrees'), ...array_values($limits)];
    }

    /**
     * @param  array<string, array<string, Measured>>  $measured
     * @return list<Warning>
     */
    private static function warnings(Site $site, array $measured, LengthUnit $unit): array
    {
        $warnings = [];
        foreach ($site->arms as $arm) {
            foreach ($measured[$arm->id] ?? [] as $length) {
                $message = $length->disagreement($unit);
                if ($message !== null) {
                    $warnings[] = new Warning('measures-disagree', "{$arm->name}: {$message}", ['arm' => $arm->id]);
                }
            }
        }

        return $warnings;
    }
}
