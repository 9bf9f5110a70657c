<?php

declare(strict_types=1);

namespace NobleTurn\Core\Series;

use NobleTurn\Core\FastRoad\LeaveEvent;
use NobleTurn\Core\FastRoad\LeaveEventKind;
use NobleTurn\Core\FastRoad\LeavePlan;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Plan\Timing;

/**
 * An exit behind something that has to be done first. What stands before one is there is no cue: it was not seen, or meant others. Mirrors
 * and signal come where they belong as far as there is room, and right after what was before where there is not.
 */
final readonly class ExitAhead
{
    public Between $between;

    /** @var list<LeaveEvent> in the order in which they are met */
    public array $events;

    /** By where the exit must have been asked for, metres to the beginning of the slip road. */
    public float $sayAtMetres;

    /**
     * @param  float  $room  from where the one before is over to the beginning of the slip road, m; INF where nothing is before it
     */
    public function __construct(public LeavePlan $plan, float $room, Timing $timing)
    {
        $mps = $plan->leaving->mainMps;
        $mirrors = ($timing->mirrorsSeconds + $timing->thinkSeconds) * $mps;
        $events = $plan->events();
        $signal = 0.0;
        foreach ($events as $event) {
            $signal = $event->kind === LeaveEventKind::Signal ? -$event->placeMetres : $signal;
        }
        $this->between = match (true) {
            $signal + $mirrors <= $room => Between::OneAfterTheOther,
            // A signal that nobody has time to see says nothing.
            $timing->seenLeastSeconds * $mps + $mirrors <= $room => Between::PlanSecondFirst,
            default => Between::BothInOne,
        };
        // As early as there is room for, and never after the slip road has begun.
        $signals = max(0.0, min($signal, $room - $mirrors));
        $moved = [];
        foreach ($events as $event) {
            $place = match ($event->kind) {
                LeaveEventKind::Mirrors => -min($room, $signals + $mirrors), LeaveEventKind::Signal => -$signals, default => $event->placeMetres,
            };
            if ($place >= -$room) {
                $moved[] = new LeaveEvent($event->kind, $place, $event->text, $event->side, $event->gear);
            }
        }
        usort($moved, LeaveEvent::inOrder(...));
        $this->events = $moved;
        $this->sayAtMetres = $signal + $mirrors + $timing->directionSeconds * $mps;
    }

    public function message(string $speed): string
    {
        return match ($this->between) {
            Between::OneAfterTheOther => "There is room to be settled before the exit: its mirrors come in their place, at {$speed}.",
            Between::PlanSecondFirst => 'The exit comes before one has settled: stay in the lane one is in, mirrors at once, and the signal as soon as they '
                .'are done. Its signs are not waited for.',
            Between::BothInOne => 'Too close: no time for mirrors and for a signal that anybody could act on. Stay on, and take the next exit.',
        };
    }
}
