<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\Difficulty;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Trade\RoutineCode;

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
        return SitePresenter::schema();
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
                static fn (Way $way, Difficulty $difficulty): array => SitePresenter::way($way, $difficulty, $facts($way), $pack), $ways, $difficulties,
            ),
            'closed' => SitePresenter::closed($site),
            'measured' => SitePresenter::measured($arms, $measured, $pack->lengthUnit()),
            'measure_first' => self::first($input, $site, $ways, $facts, $measured, $pack),
        ], SitePresenter::assumed($site, $pack), SitePresenter::warnings($site, $measured, $pack->lengthUnit()));
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
}
