<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\LineOf;
use NobleTurn\Core\Judgement\StandsAtLine;
use NobleTurn\Core\Judgement\Turn;
use NobleTurn\Core\Judgement\WhoseTurn;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\TurnRule;
use NobleTurn\Core\Trade\RoutineCode;

/** Whose turn it is where all have to stop, or where nothing gives it to anybody. */
final class PriorityTool implements Tool
{
    use QuickAnswer;

    private const ALL_WAY_STOP = 'all-way-stop';

    private const UNMARKED = 'unmarked';

    public function name(): string
    {
        return 'priority';
    }

    public function about(): string
    {
        return 'Who goes first at an all-way stop or a crossroads without signs: before whom, with whom, in which order, and by which rule.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            new ChoiceField('place', 'all stop, or nothing says who goes first; default the first of `places`', [self::ALL_WAY_STOP, self::UNMARKED]),
            ChoiceField::of('goes', 'our way; default ahead', WayOut::class),
            self::waitField('since we are there, where who came first counts; default 0'),
            new ListField('vehicles', 'who else is at a line, one at each', new ObjectField('vehicle', 'one of them', new Shape(
                (new ChoiceField('line', 'seen from ours', ['right', 'opposite', 'left']))->required(),
                ChoiceField::of('goes', 'as they see it; default ahead', WayOut::class),
                self::waitField('since they are there, where that counts; default 0'),
            )), 3),
            new FlagField('people', 'somebody on foot is crossing our way, or about to; default false'),
        );
    }

    public function output(): array
    {
        $lines = Out::choice(['right', 'opposite', 'left']);

        return [
            'verdict' => Out::choice(Turn::class, 'our turn, theirs, or to be agreed'),
            'message' => Out::text('sentence for the user'),
            'places' => Out::list(Out::choice([self::ALL_WAY_STOP, self::UNMARKED]), 'that there are under this pack'),
            'place' => Out::choice([self::ALL_WAY_STOP, self::UNMARKED], 'the one answered for'),
            'rule' => Out::choice(TurnRule::class, 'who goes first here'),
            'before' => Out::list($lines, 'who goes before us'),
            'together' => Out::list($lines, 'who may go at the same time'),
            'undecided' => Out::list($lines, 'with whom it has to be agreed'),
            'order' => Out::list(
                Out::list(Out::choice(LineOf::class), 'at the same time'), 'in which all go, as far as the rule says',
            ),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $places = in_array(RoutineCode::AllWayStop, $pack->lacks(), true) ? [self::UNMARKED] : [self::ALL_WAY_STOP, self::UNMARKED];
        $place = $input->text('place') ?? $places[0];
        $isAllStop = $place === self::ALL_WAY_STOP;
        if (! in_array($place, $places, true)) {
            throw BadInput::field('place', "must not be all-way-stop: there is none in {$pack->name()}.");
        }
        $rule = $isAllStop ? TurnRule::Arrival : $pack->unmarkedRule();
        $turns = new WhoseTurn($pack->keeps(), $rule, self::standing($input, LineOf::Ours), self::others($input), $input->flag('people') ?? false);
        $names = static fn (array $found): array => array_map(static fn (StandsAtLine $one): string => $one->line->value, $found);

        return new Answer($pack->code(), $pack->version(), [
            'verdict' => $turns->turn()->value, 'message' => self::message($turns, $rule), 'places' => $places, 'place' => $place,
            'rule' => $rule->value,
            'before' => $names($turns->before()), 'together' => $names($turns->together()), 'undecided' => $names($turns->undecided()),
            'order' => array_map($names, $turns->order()),
        ], [
            new Assumption('first goes', $rule->words(), '', $isAllStop ? self::allStopSource($pack) : $pack->unmarkedRuleSource()),
            ...($rule === TurnRule::Arrival ? [
                new Assumption('came at the same time within', WhoseTurn::AT_ONCE_S, 's', Source::assumed()),
                new Assumption('may see it otherwise within', WhoseTurn::IN_DOUBT_S, 's', Source::assumed()),
            ] : []),
        ]);
    }

    private static function waitField(string $about): QuantityField
    {
        return new QuantityField('wait', $about, Kind::Duration, 0.0, 600.0);
    }

    private static function standing(Values $input, LineOf $line): StandsAtLine
    {
        return new StandsAtLine($line, $input->choice('goes', WayOut::class) ?? WayOut::Ahead, $input->duration('wait')?->inSeconds() ?? 0.0);
    }

    /**
     * @return list<StandsAtLine>
     *
     * @throws BadInput where two are said to stand at one line
     */
    private static function others(Values $input): array
    {
        $others = [];
        foreach ($input->objects('vehicles') as $i => $one) {
            $line = LineOf::from($one->text('line') ?? '');
            if (isset($others[$line->value])) {
                throw BadInput::field("vehicles.{$i}.line", 'must not be said twice: one stands first at each line.');
            }
            $others[$line->value] = self::standing($one, $line);
        }

        return array_values($others);
    }

    private static function allStopSource(RulePack $pack): Source
    {
        foreach ($pack->figures() as $figure) {
            if ($figure->key === self::ALL_WAY_STOP) {
                return $figure->source;
            }
        }

        return Source::commonPractice();
    }

    private static function message(WhoseTurn $turns, TurnRule $rule): string
    {
        $with = $turns->together() === [] ? '' : ' '.ucfirst(self::said($turns->together())).' may go at the same time.';

        return match (true) {
            $turns->people => 'Wait: people go before everybody.',
            $turns->isInDoubt() => 'They came nearly when we did and may see it otherwise: eyes meet, and go only once they wait.',
            $turns->isRound() => 'Each has somebody on the right: nobody goes first by rule. Eyes meet, one goes, and then the one on their left.',
            $turns->before() !== [] => self::waiting($turns, $rule),
            $turns->undecided() !== [] => 'Neither we nor '.implode(' nor ', array_map(self::named(...), $turns->undecided()))
                .' has priority: slow enough to stop, eyes meet, and be the one who waits where it is not plain.',
            $turns->others === [] => $rule === TurnRule::Arrival ? 'Our turn: nobody else is there. Look once more all round, and go.'
                : 'Nobody else is there: slow enough to stop, look both ways, and go.',
            count($turns->together()) === count($turns->others) => "Our turn.{$with}",
            default => 'Our turn, once they are seen to wait.'.$with,
        };
    }

    /** For whom we wait, each with the reason. */
    private static function waiting(WhoseTurn $turns, TurnRule $rule): string
    {
        $byReason = [];
        foreach ($turns->before() as $one) {
            $byReason[self::why($turns, $rule, $one)][] = $one;
        }
        $said = array_map(static fn (string $why, array $them): string => 'for '.self::said($them).": {$why}", array_keys($byReason), $byReason);

        return 'Wait '.implode('; and ', $said).'.';
    }

    private static function why(WhoseTurn $turns, TurnRule $rule, StandsAtLine $one): string
    {
        return match (true) {
            $rule === TurnRule::Arrival && $one->waitsSeconds > $turns->us->waitsSeconds + WhoseTurn::AT_ONCE_S => 'came first',
            $one->line === LineOf::Opposite => 'who turns across waits for the one opposite',
            $rule === TurnRule::Arrival => 'of those who came together the one on the right goes first',
            default => 'who comes from the right goes first',
        };
    }

    /** @param  list<StandsAtLine>  $them */
    private static function said(array $them): string
    {
        $said = array_map(self::named(...), $them);
        $last = array_pop($said);

        return $said === [] ? (string) $last : implode(', ', $said)." and {$last}";
    }

    private static function named(StandsAtLine $one): string
    {
        return $one->line === LineOf::Opposite ? 'the one opposite' : "the one on the {$one->line->value}";
    }
}
