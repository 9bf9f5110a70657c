<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Difficulty;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\LengthUnit;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Feature;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** A site as it is answered: every way with what it is and asks, what is closed, what was measured and what was assumed. */
final class SitePresenter
{
    /** @return array<string, array<string, mixed>> JSON Schema of what it answers */
    public static function schema(): array
    {
        return [
            'law' => Out::text('whose law it is'),
            'keeps' => Out::choice(Side::class, 'the side of the road traffic keeps to'),
            'offers' => Out::object([
                'controls' => Out::list(Out::choice(Control::class), 'what can govern a mouth there'),
                'centre_lane' => Out::flag('whether there are lanes in the middle for turns of both directions'),
                'features' => Out::list(Out::choice(Feature::class), 'what can lie along such a road and is taught there'),
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
                'then' => Out::maybe(Out::object([
                    'routine' => Out::choice(RoutineCode::class), 'title' => Out::text('its name'), 'distance_m' => Out::number('so far on'),
                ]), 'what follows at once: the other half of a staggered crossroads'),
                'difficulty' => Out::object([
                    'score' => Out::number('0 to under 1, from what is there (assumed)'), 'words' => Out::choice(['easy', 'middling', 'hard']),
                    'reasons' => Out::list(['type' => 'string'], 'what makes it so, the heaviest first'),
                ]),
                'tool' => Out::text('which tool plans it; null where none does', nullable: true),
                'inputs' => Out::maybe(['type' => 'object'], 'what that tool is asked'),
                'lanes' => Out::maybe(['type' => 'object'], 'what the lanes tool is asked; null where there is no choice of lane'),
                'turn' => Out::maybe(['type' => 'object'], 'what the tool `priority` is asked; null where lines, lights or an island say whose turn it is'),
                'lights' => Out::maybe(['type' => 'object'],
                    'what the tool `lights` is asked of who waits inside to turn across; null where nobody does'),
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

    /** @return array{controls: list<string>, centre_lane: bool, features: list<string>} what can be said of an arm under the pack */
    public static function offers(SiteKind $kind, RulePack $pack): array
    {
        $taught = array_filter(Feature::of($kind), static fn (Feature $one): bool => $one->teaches($pack) !== []);

        return [
            'controls' => array_column(ArmField::controls($kind, $pack), 'value'),
            'centre_lane' => ! in_array(RoutineCode::CentreLaneLeft, $pack->lacks(), true),
            'features' => array_values(array_map(static fn (Feature $one): string => $one->value, $taught)),
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  ?array<string, mixed>  $lanes
     * @param  ?array<string, mixed>  $turn
     * @param  ?array<string, mixed>  $lights
     * @return array<string, mixed>
     */
    public static function way(Way $way, Difficulty $difficulty, array $facts, ?array $lanes, ?array $turn, ?array $lights, RulePack $pack): array
    {
        $title = static fn (RoutineCode $routine): string => Card::of($routine, $pack, new Practice([], $pack))->title;
        $tool = PlannedBy::tool($way->routine);

        return [
            'from' => $way->from->id, 'to' => $way->to->id, 'out' => $way->out->value, 'turn_deg' => round($way->turnDegrees, 1),
            'exit_number' => $way->exitNumber, 'routine' => $way->routine->value, 'title' => $title($way->routine), 'because' => Wording::in($pack,
                $way->because),
            'meets' => ['left' => ($way->meets['left'] ?? null)?->id, 'right' => ($way->meets['right'] ?? null)?->id],
            'then' => $way->then === null ? null : [
                'routine' => $way->then['routine']->value, 'title' => $title($way->then['routine']), 'distance_m' => round($way->then['metres'], 1),
            ],
            'difficulty' => [
                'score' => round($difficulty->score, 3), 'words' => $difficulty->words(), 'reasons' => array_column($difficulty->reasons, 'message'),
            ],
            'tool' => $tool, 'inputs' => $tool === null ? null : PlannedBy::inputs($way->routine, $facts, $pack), 'lanes' => $lanes, 'turn' => $turn,
            'lights' => $lights,
        ];
    }

    /** @return list<array{from: string, to: string, message: string}> */
    public static function closed(Site $site): array
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
    public static function measured(array $arms, array $measured, LengthUnit $unit): array
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
     * @param  list<array<string, int|string>>  $ordinary  of each way: what an ordinary slip road's figures stand in for
     * @return list<Assumption>
     */
    public static function assumed(Site $site, array $ordinary, bool $underLights, RulePack $pack): array
    {
        if ($site->kind === SiteKind::Slip) {
            $figures = array_merge(...$ordinary);

            return array_map(static fn (string $name, int|string $value): Assumption => CommonFields::default($name, $value), array_keys($figures), $figures);
        }
        $limits = array_map(
            static fn (Arm $arm): Assumption => CommonFields::default("limit of {$arm->name}", round($pack->townLimit()->inMetresPerSecond(), 3), 'm/s'),
            array_filter($site->arms, static fn (Arm $arm): bool => $arm->limit === null),
        );

        return [
            ...($site->kind->isMet() ? [CommonFields::default('straight on is within', WayReader::AHEAD, 'degrees')] : []), ...array_values($limits),
            ...($underLights ? WayLights::assumed() : []),
        ];
    }

    /**
     * @param  array<string, array<string, Measured>>  $measured
     * @return list<Warning>
     */
    public static function warnings(Site $site, array $measured, LengthUnit $unit): array
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
