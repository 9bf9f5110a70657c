<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Assessment\Limit;
use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Result;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** A drive that was assessed: whether it passes by a scheme, and which rule decided. */
final class MarkTestTool implements Tool
{
    use QuickAnswer;

    private const MOST_FAULTS = 200;

    /** More than anybody would let pass. */
    private const MOST_ALLOWED = 200;

    public function name(): string
    {
        return 'mark-test';
    }

    public function about(): string
    {
        return 'Whether an assessed drive passes by a scheme, how grave each fault is, and which rule decided.';
    }

    public function input(): Shape
    {
        $limits = [];
        foreach (Scheme::codes() as $code) {
            foreach (Scheme::byCode($code)->limits as $limit) {
                $limits[$limit->name()] = new NumberField($limit->name(), "most that still pass, of {$code}", 0.0, (float) self::MOST_ALLOWED);
            }
        }
        $severity = ChoiceField::of('severity', 'given by whoever watched: it wins', Severity::class);

        return new Shape(
            CommonFields::packField(),
            (new ObjectField('scheme', 'by which it is marked, or a copy of one with figures of your own', new Shape(
                (new ChoiceField('like', 'the one it comes from', Scheme::codes()))->required(),
                new ObjectField('limits', 'how many still pass', new Shape(...array_values($limits))),
                new ListField('severities', 'what it amounts to', new ObjectField('severity', 'by effect, or by step and fault', new Shape(
                    ChoiceField::of('effect', 'on others', Effect::class), ChoiceField::of('step', 'with a kind of fault', Step::class),
                    new ChoiceField('fault', 'of the step, where no effect was said', Faults::codes()),
                    ChoiceField::of('severity', 'of it', Severity::class)->required(),
                )), 60),
            ), Scheme::codes()))->required(),
            (new ListField('faults', 'in the order in which they were marked', new ObjectField('fault', 'one', new Shape(
                ChoiceField::of('step', 'that went wrong', Step::class)->required(), ChoiceField::of('routine', 'driven', RoutineCode::class),
                new ChoiceField('fault', 'its kind', Faults::codes()), ChoiceField::of('effect', 'on others', Effect::class), $severity,
                new TextField('heading', 'under which the scheme counts it; default the step', 60),
                new TextField('aspect', 'its kind under that heading; default the kind of fault', 60),
            )), self::MOST_FAULTS))->required(),
        );
    }

    public function output(): array
    {
        $severity = Out::choice(Severity::class);

        return [
            'result' => Out::choice(['pass', 'fail']),
            'decided_by' => Out::object([
                'code' => Out::text('within-limits where it passes'), 'message' => Out::text('as a sentence'), 'status' => Out::text('of the rule'),
                'source' => Out::text('where it stands'),
            ]),
            'counts' => ['type' => 'object', 'additionalProperties' => ['type' => 'integer'], 'description' => 'faults by severity, lightest first'],
            'faults' => Out::list(Out::object([
                'severity' => $severity, 'from' => Out::choice(['scheme', 'given']), 'heading' => Out::text(''), 'aspect' => Out::text('', nullable: true),
            ])),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $scheme = self::scheme($input);
        $result = Result::of($scheme, self::faults($input, $scheme));
        $source = $result->decidedBy !== null && $scheme->isOwn
            && $result->decidedBy->most !== self::shipped($scheme, $result->decidedBy) ? Source::given() : $scheme->source;

        return new Answer($pack->code(), $pack->version(), [
            'result' => $result->passes() ? 'pass' : 'fail',
            'decided_by' => ['code' => $result->code(), 'message' => $result->message(), 'status' => $source->status->value, 'source' => $source->words()],
            'counts' => $result->counts(),
            'faults' => array_map(static fn (array $one): array => [
                'severity' => $one[1]->value, 'from' => $one[0]->given === null ? 'scheme' : 'given',
                'heading' => $one[0]->heading, 'aspect' => $one[0]->aspect,
            ], $result->faults),
        ], [
            ...array_map(static fn (Limit $limit): Assumption => new Assumption(
                "still pass: {$limit->name()}", $limit->most, 'faults', $limit->most === self::shipped($scheme, $limit) ? $scheme->source : Source::given(),
            ), $scheme->limits),
            new Assumption(
                'what a fault and its effect amount to', $scheme->isOwn ? 'own' : $scheme->like, '', $scheme->isOwn ? Source::given() : Source::assumed(),
            ),
        ]);
    }

    private static function scheme(Values $input): Scheme
    {
        $named = $input->text('scheme');
        if ($named !== null) {
            return Scheme::byCode($named);
        }
        $own = $input->object('scheme');
        $scheme = Scheme::byCode($own?->text('like') ?? Scheme::codes()[0]);
        $limits = $byEffect = $byFault = [];
        $names = array_map(static fn (Limit $limit): string => $limit->name(), $scheme->limits);
        foreach ($own?->object('limits')?->said() ?? [] as $name => $most) {
            if (! in_array($name, $names, true)) {
                throw BadInput::field("scheme.limits.{$name}", "is no limit of {$scheme->like}: it has ".implode(', ', $names).'.');
            }
            $limits[$name] = is_numeric($most) && (float) $most === floor((float) $most)
                ? (int) $most : throw BadInput::field("scheme.limits.{$name}", 'must be a whole number.');
        }
        foreach ($own?->objects('severities') ?? [] as $i => $said) {
            $severity = self::severity($said, "scheme.severities.{$i}", $scheme) ?? throw BadInput::field("scheme.severities.{$i}.severity", 'is missing.');
            [$effect, $step, $fault] = [$said->choice('effect', Effect::class), $said->choice('step', Step::class), $said->text('fault')];
            if (($effect === null) === ($step === null || $fault === null)) {
                throw BadInput::field("scheme.severities.{$i}", 'needs either an effect, or a step with a kind of fault.');
            }
            if ($effect !== null) {
                $byEffect[$effect->value] = $severity;
            } elseif ($step !== null && $fault !== null) {
                $byFault[self::kind($step, $fault, "scheme.severities.{$i}")] = $severity;
            }
        }

        return $scheme->changed($limits, $byEffect, $byFault);
    }

    /** @return list<MarkedFault> */
    private static function faults(Values $input, Scheme $scheme): array
    {
        $found = [];
        foreach ($input->objects('faults') as $i => $said) {
            $step = $said->choice('step', Step::class) ?? throw BadInput::field("faults.{$i}.step", 'is missing.');
            $fault = $said->text('fault');
            if ($fault !== null) {
                self::kind($step, $fault, "faults.{$i}");
            }
            $found[] = new MarkedFault(
                $step, $said->choice('routine', RoutineCode::class), $fault, $said->choice('effect', Effect::class),
                self::severity($said, "faults.{$i}", $scheme), $said->text('heading'), $said->text('aspect'),
            );
        }

        return $found;
    }

    private static function severity(Values $said, string $field, Scheme $scheme): ?Severity
    {
        $severity = $said->choice('severity', Severity::class);
        if ($severity !== null && ! in_array($severity, $scheme->severities(), true)) {
            throw BadInput::field("{$field}.severity", "is none of {$scheme->like}: it has ".implode(', ', array_map(
                static fn (Severity $one): string => $one->value, $scheme->severities(),
            )).'.');
        }

        return $severity;
    }

    private static function kind(Step $step, string $fault, string $field): string
    {
        return Faults::isOf($fault, $step) ? "{$step->value}.{$fault}" : throw BadInput::field("{$field}.fault", "is no kind of fault of {$step->value}.");
    }

    private static function shipped(Scheme $scheme, Limit $limit): ?int
    {
        foreach (Scheme::byCode($scheme->like)->limits as $one) {
            if ($one->name() === $limit->name()) {
                return $one->most;
            }
        }

        return null;
    }
}
