<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Diary\Light;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Next\Forecast;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\Missing;
use NobleTurn\Core\Next\Ready;
use NobleTurn\Core\Next\Schedule;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Record\Company;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\HoursBook;
use NobleTurn\Core\Record\TimeAtWheel;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/** How near a learner is to the test, what is missing, and how many lessons that may take. It advises: the instructor decides. */
final class ReadyTool implements Tool
{
    /** Lessons of somebody of whom nobody says how much they drive (assumed). */
    private const LESSON_MINUTES = 60.0;

    private const A_WEEK = 120.0;

    private const MOST_DRIVES = 2_000;

    private const MOST_TESTS = 50;

    /** What the drives ahead cost, steps (measured). */
    private const STEPS = 60_000.0;

    public function name(): string
    {
        return 'ready';
    }

    public function about(): string
    {
        return 'From the record to the test: how likely it is passed today, what is missing in the order in which it would be done, and after how many '
            .'lessons it would be likely enough, as a range. The instructor decides.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new TextField('today', 'date the answer is for, such as 2026-05-20', 25))->required(),
            new ChoiceField('scheme', 'by which the test is marked; default the pack’s', Scheme::codes()),
            SkillFields::marks(),
            SkillFields::overrulings(),
            VehicleField::field(),
            new ListField('hours', 'drives, for what a law asks', new ObjectField('drive', 'one', new Shape(
                (new TextField('at', 'when it began', 35))->required(),
                (new NumberField('minutes', 'at the wheel', 1.0, 1_440.0))->required(),
                ChoiceField::of('light', 'it was driven in', Light::class), ChoiceField::of('with', 'whom; default instructor', Company::class),
            )), self::MOST_DRIVES),
            new FlagField('minor', 'not of age: some laws ask more of them'),
            new ListField('mock_tests', 'that were driven', new ObjectField('test', 'one', new Shape(
                (new TextField('on', 'date', 25))->required(), (new ChoiceField('result', 'by its scheme', ['pass', 'fail']))->required(),
            )), self::MOST_TESTS),
            (new TextField('test_on', 'date of the test; null where none is booked', 25))->orNull(),
            new NumberField('lessons_booked', 'before the test, a whole number; default 0', 0.0, 200.0),
            new NumberField('lesson_minutes', 'of a lesson; default 60', 20.0, 300.0),
            new NumberField('lesson_minutes_a_week', 'default 120', 10.0, 3_000.0),
            new NumberField('practice_minutes_a_week', 'with somebody else; default 0', 0.0, 3_000.0),
            new NumberField('seed', 'a whole number: the same one, the same answer; default 1', 0.0, 1e9),
        );
    }

    public function output(): array
    {
        return ReadyPresenter::schema();
    }

    public function effort(Values $input): float
    {
        return Effort::QUICK + self::STEPS + 6.0 * count($input->objects('marks')) + count($input->objects('hours'));
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $today = SkillReader::day($input->text('today') ?? '', 'today');
        [$evidence, $ignored] = SkillReader::marks($input, $pack, $today);
        $vehicle = VehicleField::read($input);
        $learner = new Learner($evidence, $pack, $today, SkillReader::overrulings($input, $pack, $today), $vehicle->transmission);
        $schedule = new Schedule(
            $input->number('lesson_minutes') ?? self::LESSON_MINUTES, $input->number('lesson_minutes_a_week') ?? self::A_WEEK,
            $input->number('practice_minutes_a_week') ?? 0.0,
        );
        $scheme = Scheme::byCode($input->text('scheme') ?? Scheme::usual($pack));
        $testOn = $input->text('test_on') === null ? null : SkillReader::day($input->text('test_on'), 'test_on');
        $ready = Ready::of(
            $learner, $scheme, $vehicle->transmission, $schedule, (int) ($input->number('seed') ?? 1.0), self::passed($input, $today),
            self::hours($input, $today), self::asked($input, $pack),
        );

        return new Answer(
            $pack->code(), $pack->version(), ReadyPresenter::body($ready, $testOn, self::booked($input)),
            [
                ...CommonFields::defaults(
                    $input, CommonFields::default('lesson_minutes', self::LESSON_MINUTES), CommonFields::default('lesson_minutes_a_week', self::A_WEEK),
                    CommonFields::default('practice_minutes_a_week', 0), CommonFields::default('scheme', $scheme->like),
                ),
                new Assumption('likely enough to pass', Forecast::ENOUGH, '', Source::assumed()),
                new Assumption('a routine goes alone often enough', Missing::ALONE, '', Source::assumed()),
            ],
            $ignored === 0 ? [] : [Warning::future($ignored)],
        );
    }

    private static function booked(Values $input): int
    {
        $booked = $input->number('lessons_booked') ?? 0.0;

        return $booked === floor($booked) ? (int) $booked : throw BadInput::field('lessons_booked', 'must be a whole number.');
    }

    /** @return list<\DateTimeImmutable> */
    private static function passed(Values $input, \DateTimeImmutable $today): array
    {
        $passed = [];
        foreach ($input->objects('mock_tests') as $i => $test) {
            $on = SkillReader::day($test->text('on') ?? '', "mock_tests.{$i}.on");
            if ($test->text('result') === 'pass' && $on <= $today) {
                $passed[] = $on;
            }
        }

        return $passed;
    }

    private static function hours(Values $input, \DateTimeImmutable $today): HoursBook
    {
        $times = [];
        foreach ($input->objects('hours') as $i => $drive) {
            $at = SkillReader::day($drive->text('at') ?? '', "hours.{$i}.at");
            if ($at <= $today) {
                $times[] = TimeAtWheel::of(
                    (string) $i, $drive->choice('with', Company::class) ?? Company::Instructor, $at->getTimestamp(),
                    $drive->number('minutes') ?? throw BadInput::field("hours.{$i}.minutes", 'is missing.'),
                    [new Conditions(light: $drive->choice('light', Light::class)?->value)], null,
                );
            }
        }

        return new HoursBook($times);
    }

    /** @return list<AskedByLaw> */
    private static function asked(Values $input, RulePack $pack): array
    {
        $isMinor = $input->flag('minor') === true;

        return array_values(array_filter($pack->askedByLaw(), static fn (AskedByLaw $one): bool => ! $one->ofMinors || $isMinor));
    }
}
