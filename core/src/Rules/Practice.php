<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/**
 * The doctrine an instructor teaches by, on top of a rule pack: the questions good instructors answer
 * differently, as far as the junction routines need them. In code a *school* is a business; this is not one.
 */
final readonly class Practice
{
    public function __construct(
        public SignalRule $signal = SignalRule::LimitNumber,
        public GearHabit $gears = GearHabit::Block,
        public JunctionHabit $junction = JunctionHabit::ByLevel,
        public LookHabit $look = LookHabit::Alternate,
    ) {
    }

    /** @return list<array{question: string, value: string, reason: string}> what was chosen and why, for the foot of a plan */
    public function choices(): array
    {
        return [
            ['question' => 'signal', 'value' => $this->signal->value, 'reason' => match ($this->signal) {
                SignalRule::LimitNumber => 'The limit’s number in metres is easily remembered; it is raised where physics or a close follower asks for more.',
                SignalRule::CarLengths => 'Nine car lengths can be judged by eye on any road.',
                SignalRule::BrakingLead => 'The signal is tied to what it announces: two seconds before brake light or sideways move.',
            }],
            ['question' => 'gears', 'value' => $this->gears->value, 'reason' => match ($this->gears) {
                GearHabit::Block => 'One change to the gear that is needed leaves more attention for the road.',
                GearHabit::Sequential => 'Each lower gear helps to hold the speed just reached.',
            }],
            ['question' => 't_junction', 'value' => $this->junction->value, 'reason' => match ($this->junction) {
                JunctionHabit::ByLevel => 'A beginner looks better from rest; later a clear line is rolled over slowly.',
                JunctionHabit::StopFirst => 'From rest there is time for gear, looks and decision one after the other.',
                JunctionHabit::ReadyToRoll => 'A give-way line asks for readiness, not for a stop.',
            }],
            ['question' => 'look', 'value' => $this->look->value, 'reason' => match ($this->look) {
                LookHabit::RightLeftRight => 'A fixed minimum is easy to hold on to.',
                LookHabit::Alternate => 'Looking goes on until it is clear; both ways and back is the least.',
            }],
        ];
    }
}
