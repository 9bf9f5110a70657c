<?php

namespace App\Lessons;

use App\Models\Lesson;
use App\Models\Place;
use App\School\ChosenRules;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/** What a place of a lesson is planned with: the road is the place's, the rules, the car and the learner are the lesson's. */
final readonly class Plans
{
    public function __construct(private Lesson $lesson, private ChosenRules $chosen)
    {
    }

    /**
     * @return array{tool: string, inputs: array<string, mixed>, version: string} what the core is asked,
     *     and its version now; whoever asks it gets the plan, or why there is none
     */
    public function at(Place $place): array
    {
        $site = $place->loadMissing('site')->site;
        $routine = RoutineCode::from($place->routine);
        $tool = PlannedBy::tool($routine) ?? '';
        $fields = Toolbox::input($tool)->properties();
        $shared = [
            'practice' => (object) $this->chosen->answers, 'vehicle' => $this->lesson->vehicle->forCore(),
            'learner_level' => $this->lesson->learner->level,
        ];

        return [
            'tool' => $tool,
            'inputs' => PlannedBy::inputs($routine, $place->facts(),
                $site === null ? $this->chosen->pack() : RulePacks::byCode($site->pack)) + array_intersect_key($shared, $fields),
            'version' => Toolbox::VERSION,
        ];
    }
}
