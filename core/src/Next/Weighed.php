<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Routine\Routine;

/** Whether a way is for somebody, and for what a lesson is for; and why it is not in it. */
final readonly class Weighed
{
    /** A first round that brings less is not needed (assumed): the chances of its steps, added up. */
    private const NEEDED = 0.004;

    /** How hard a way may be for somebody who does nothing of it alone, by what the school says of them, and for somebody who does all of it (assumed). */
    private const BEARS_NEW = ['beginner' => 0.25, 'developing' => 0.35, 'independent' => 0.5];

    private const BEARS_ALL = 1.15;

    /** What can hardly be borne brings nothing, however much time there is for it (assumed). */
    private const HARDLY = 0.15;

    /** The hardest way is so much harder than the easiest, logits (assumed). */
    public const HARDEST = 2.0;

    /** From "can be borne" to "cannot" it is not one step (assumed). */
    private const EDGE = 0.08;

    /**
     * @param  list<string>  $aimed  routines that the lesson is for
     * @param  list<string>  $with  they, and what goes with them
     * @param  list<string>  $excluded  ids of ways and codes of routines
     * @param  bool  $isTimeLeft  besides all that is needed: then what goes well is driven too
     */
    public function __construct(
        private Learner $learner, private array $aimed, private array $with, private array $excluded, private bool $isTimeLeft = false,
    ) {
    }

    /** What can be borne of a way, 0 to 1: the better somebody is at a routine, the harder it may be. */
    public static function bears(Learner $learner, Routine $routine, float $difficulty): float
    {
        $now = $learner->isNew($routine) ? 0.0 : $learner->worth->alone($routine);
        $new = self::BEARS_NEW[$learner->level->value];

        return 1.0 / (1.0 + exp(($difficulty - $new - (self::BEARS_ALL - $new) * $now) / self::EDGE));
    }

    /** How much of what rounds of it bring where it is easy is had there: nothing where it cannot be borne, more than that where easy ones teach no more. */
    public static function hadThere(Learner $learner, Routine $routine, float $difficulty): float
    {
        $bears = max(0.0, self::bears($learner, $routine, $difficulty) - self::HARDLY) / (1.0 - self::HARDLY);

        return $bears * $learner->worth->where($routine, self::HARDEST * $difficulty);
    }

    /** Where there is not time for one round and the way back; null where there is. */
    public static function reach(Stop $stop, float $shortSeconds): ?NotTaken
    {
        return $shortSeconds <= 1e-6 ? null : new NotTaken($stop->id, WhyNot::OutOfReach, sprintf(
            '%s is out of reach: there, one round and back take %d min more than there is.', $stop->name, (int) ceil($shortSeconds / 60.0),
        ));
    }

    /** Why a way is not so much as looked at; null where it is. */
    public function before(Stop $stop, Routine $routine): ?NotTaken
    {
        $code = $routine->code->value;
        $not = static fn (WhyNot $why, string $message): NotTaken => new NotTaken($stop->id, $why, "{$stop->name}: {$message}.");
        if (in_array($stop->id, $this->excluded, true) || in_array($code, $this->excluded, true)) {
            return $not(WhyNot::Excluded, 'you left it out');
        }
        if (in_array($code, $this->aimed, true)) {
            return null;
        }
        if (! isset($this->learner->routines[$code])) {
            return $not(WhyNot::NotNeeded, 'not learned in this car');
        }
        $missing = $this->learner->isNew($routine) ? $this->learner->missing($routine) : [];
        if ($missing !== []) {
            return $not(WhyNot::TooEarly, 'first '.$this->learner->title($this->learner->routines[$missing[0]->value]));
        }
        if ($this->learner->isNew($routine)) {
            return $not(WhyNot::TooEarly, 'one new thing at a time');
        }
        $brings = $this->learner->worth->rounds($routine, 1)[0] * $this->learner->worth->where($routine, self::HARDEST * $stop->difficulty);
        if ($brings < self::NEEDED && ! $this->isTimeLeft) {
            return $not(WhyNot::NotNeeded, Telling::times($this->learner->worth->alone($routine)).' alone, and driven lately');
        }

        return in_array($code, $this->with, true) ? null : $not(WhyNot::NotNeeded, 'not what this lesson is for');
    }

    /** Why a way that was looked at is not in it. */
    public function after(Stop $stop, Routine $routine, float $wouldBring, bool $isTime): NotTaken
    {
        if (self::bears($this->learner, $routine, $stop->difficulty) < 0.5) {
            return new NotTaken($stop->id, WhyNot::TooEarly, "{$stop->name}: harder than they can bear yet; an easier one first.");
        }
        if ($wouldBring < self::NEEDED) {
            return new NotTaken($stop->id, WhyNot::NotNeeded, "{$stop->name}: the lesson has enough of it.");
        }
        if ($isTime) {
            return new NotTaken($stop->id, WhyNot::NotNeeded, "{$stop->name}: it would bring less than the drive there costs.");
        }

        return new NotTaken($stop->id, WhyNot::NoTime, "{$stop->name}: no time for it beside what helps more.");
    }
}
