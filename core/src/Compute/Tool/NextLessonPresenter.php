<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Next\Aim;
use NobleTurn\Core\Next\AimReason;
use NobleTurn\Core\Next\Lacking;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\LessonProposal;
use NobleTurn\Core\Next\NextLesson;
use NobleTurn\Core\Next\NotTaken;
use NobleTurn\Core\Next\Remedied;
use NobleTurn\Core\Next\WhyNot;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Skill\FaultSeen;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** From a proposed lesson to fields. */
final class NextLessonPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $circuit = CircuitPresenter::schema();

        return [
            'aims' => Out::list(Out::object(self::aim()), 'one or two, the main one first'),
            'order' => $circuit['order'],
            'parts' => $circuit['parts'],
            'exact' => Out::flag('no other choice of these ways is worth more; false where there are too many to look at all'),
            'value' => Out::number('what its rounds are expected to bring: chances added up'),
            'driven_m' => $circuit['driven_m'],
            'spare_s' => $circuit['spare_s'],
            'lacking' => Out::list(Out::object([
                'condition' => Out::choice(['busy', 'night', 'wet']), 'possible' => Out::flag('in this lesson'), 'message' => Out::text('as a sentence'),
            ]), 'conditions hardly driven in'),
            'left_out' => Out::list(Out::object([
                'way' => Out::text('its id'), 'reason' => Out::choice(WhyNot::class), 'message' => Out::text('as a sentence'),
            ]), 'in the order given'),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    public static function aim(): array
    {
        return [
            'routine' => Out::choice(RoutineCode::class), 'step' => Out::choice(Step::class, 'above all'),
            'side' => Out::choice(Side::class, 'of the way driven; null where it is either', nullable: true),
            'reason' => Out::choice(AimReason::class), 'gain' => Out::number('by which the chances of its steps are expected to rise, added up'),
            'evidence' => Out::integer('marks of the step'), 'message' => Out::text('as a sentence'),
            'needs_place' => Out::flag('of its kind; others are met, or can be done, on any road'),
            'remedy' => Out::object([
                'text' => Out::text('what helps'), 'drill' => Out::text('to practise it'),
                'fault' => Out::text('the kind that is seen most; null where none is', nullable: true),
                'learners' => Out::integer('who were given it, with marks before and after'),
                'change' => Out::number('of how often the step is clean; null where it is not known', nullable: true),
                'low' => Out::number('of its 80 % range', nullable: true), 'high' => Out::number('of its 80 % range', nullable: true),
            ]),
        ];
    }

    /**
     * @param  ?\Closure(Step, ?string): RemedyEffect  $helped  what is known of the remedy for a step and kind of fault; null where nothing is
     * @return array<string, mixed>
     */
    public static function body(NextLesson $lesson, Learner $learner, bool $hasClutch, ?\Closure $helped = null): array
    {
        $faults = FaultSeen::in($learner->evidence, $learner->pack);

        return [
            'aims' => array_map(static fn (Aim $aim): array => [
                'routine' => $aim->routine->code->value, 'step' => $aim->step->value, 'side' => Demand::side($aim->routine->code, $learner->pack)?->value,
                'reason' => $aim->reason->value, 'gain' => round($aim->gain, 4), 'evidence' => $aim->evidence, 'message' => $aim->message($learner),
                'needs_place' => $aim->routine->needsAPlace(),
                'remedy' => self::remedy(Remedied::of($aim, $learner, $faults, $hasClutch), $aim->step, $helped),
            ], $lesson->aims),
            ...self::driven($lesson->proposal),
            'lacking' => array_map(static fn (Lacking $one): array => [
                'condition' => $one->condition, 'possible' => $one->isPossible, 'message' => $one->message,
            ], $lesson->lacking),
            'left_out' => array_map(static fn (NotTaken $one): array => [
                'way' => $one->way, 'reason' => $one->reason->value, 'message' => $one->message,
            ], $lesson->proposal->notTaken ?? []),
        ];
    }

    /** @return array<string, mixed> */
    private static function remedy(Remedied $remedy, Step $step, ?\Closure $helped): array
    {
        $known = $helped === null ? null : $helped($step, $remedy->fault);
        $rounded = static fn (?float $figure): ?float => $figure === null ? null : round($figure, 4);

        return [
            'text' => $remedy->text, 'drill' => $remedy->drill, 'fault' => $remedy->fault,
            'learners' => $known->learners ?? 0, 'change' => $rounded($known?->change), 'low' => $rounded($known?->low), 'high' => $rounded($known?->high),
        ];
    }

    /** @return array<string, mixed> */
    private static function driven(?LessonProposal $proposal): array
    {
        if ($proposal === null) {
            return ['order' => [], 'parts' => [], 'exact' => true, 'value' => 0.0, 'driven_m' => 0, 'spare_s' => 0];
        }
        $driven = CircuitPresenter::driven($proposal->circuit);

        return [
            'order' => $driven['order'], 'parts' => $driven['parts'], 'exact' => $proposal->isExact, 'value' => round($proposal->value, 4),
            'driven_m' => $driven['driven_m'], 'spare_s' => $driven['spare_s'],
        ];
    }
}
