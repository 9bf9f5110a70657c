<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Difficulty;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Site\WayReader;
use NobleTurn\Core\Trade\RoutineCode;

/** A place where roads meet, or a length of one, drawn once: which ways lead through it, which routine each is, and what is asked of its approach. */
final class SiteTool implements Tool
{
    public function name(): string
    {
        return 'site';
    }

    public function about(): string
    {
        return 'From the roads that meet, or what lies along one, to every way through them: which routine it is, why, what its '
            .'tool is asked, and which figures nobody has measured. Of one way, named by from and to, also what to measure first.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            ChoiceField::of('kind', 'what the roads meet at', SiteKind::class)->required(),
            ArmField::field()->required(),
            new TextField('from', 'the arm one comes in by, to ask about one way', 20),
            new TextField('to', 'the arm one goes out by', 20),
            ChoiceField::of('routine', 'which of the routines that way teaches; default the first', RoutineCode::class),
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
        WayLanes::check($site, $said);
        $facts = static fn (Way $way): array => WayFacts::of($way, $measured, $said, $pack);
        $assumed = static fn (Way $way): array => WayFacts::assumed($way, $measured, $said, $pack);
        $ways = WayReader::all($site, $pack);
        $lights = array_map(static fn (Way $way): ?array => WayLights::asked($way, $site, $said, $pack), $ways);
        $difficulties = array_map(
            static fn (Way $way): Difficulty => self::difficulty($way, $facts($way), $pack, array_search($way->road(), $arms, true)), $ways,
        );

        return new Answer($pack->code(), $pack->version(), [
            'law' => $pack->name(),
            'keeps' => $pack->keeps()->value,
            'offers' => SitePresenter::offers($kind, $pack),
            'ways' => array_map(static fn (Way $way, Difficulty $difficulty, ?array $lights): array => SitePresenter::way(
                $way, $difficulty, $facts($way), WayLanes::asked($way, $site, $said, $pack), WayTurn::asked($way, $site, $pack), $lights, $pack,
            ), $ways, $difficulties, $lights),
            'closed' => SitePresenter::closed($site),
            'measured' => SitePresenter::measured($arms, $measured, $pack->lengthUnit()),
            'measure_first' => self::first($input, $site, $ways, $facts, $measured, $assumed, $pack),
        ], SitePresenter::assumed(
            $site, array_map($assumed, $ways), array_filter($lights) !== [], $pack,
        ), SitePresenter::warnings($site, $measured, $pack->lengthUnit()));
    }

    /**
     * How hard a way is; what contradicts itself on an arm is refused there, not where it is planned.
     *
     * @param  array<string, mixed>  $facts
     *
     * @throws BadInput
     */
    private static function difficulty(Way $way, array $facts, RulePack $pack, int|string|false $arm): Difficulty
    {
        $inputs = PlannedBy::inputs($way->routine, $facts, $pack);
        try {
            return match ($tool = PlannedBy::tool($way->routine)) {
                null => Difficulty::of($way, null),
                'approach' => Difficulty::of($way, MeasureFirst::approach($inputs)),
                default => self::atSpeed($way, $tool, $inputs, $pack),
            };
        } catch (BadInput $bad) {
            throw BadInput::of(array_combine(array_map(static fn (string $field): string => "arms.{$arm}.{$field}", array_keys($bad->errors)), $bad->errors));
        }
    }

    /**
     * @param  array<string, mixed>  $inputs
     *
     * @throws BadInput
     */
    private static function atSpeed(Way $way, string $tool, array $inputs, RulePack $pack): Difficulty
    {
        $question = Toolbox::ask($tool, $inputs);
        $question->sound();
        $read = Toolbox::tool($tool)->input()->read($inputs, '', new Findings) ?? new Values([]);

        return Difficulty::atSpeed(
            $way->routine, $read->speed('main_speed') ?? $read->speed('limit') ?? $pack->townLimit(), CommonFields::gradient($read),
            $read->distance('slip_length')?->inMetres(),
        );
    }

    /**
     * @param  list<Way>  $ways
     * @param  \Closure(Way): array<string, mixed>  $facts
     * @param  array<string, array<string, Measured>>  $measured
     * @param  \Closure(Way): array<string, int|string>  $assumed
     * @return list<array<string, mixed>>
     */
    private static function first(Values $input, Site $site, array $ways, \Closure $facts, array $measured, \Closure $assumed,
        RulePack $pack): array
    {
        if (! $input->has('from') && ! $input->has('to')) {
            return [];
        }
        $routine = $input->choice('routine', RoutineCode::class);
        $from = $site->arm($input->text('from') ?? throw BadInput::field('from', 'is missing beside to.'), 'from');
        $to = $site->arm($input->text('to') ?? throw BadInput::field('to', 'is missing beside from.'), 'to');
        $there = array_filter($ways, static fn (Way $way): bool => $way->from === $from && $way->to === $to);
        foreach ($there as $way) {
            if ($routine === null || $way->routine === $routine) {
                return PlannedBy::tool($way->routine) === null ? [] : MeasureFirst::of(
                    $way->routine, $facts($way), $measured[$way->road()->id], $assumed($way), $pack,
                );
            }
        }
        if ($there !== []) {
            throw BadInput::field('routine', 'must be one that this way teaches: '.implode(', ', array_map(
                static fn (Way $way): string => $way->routine->value, array_values($there),
            )).'.');
        }
        throw BadInput::field('to', 'must be an arm that can be driven to from '.$from->id.'.');
    }
}
