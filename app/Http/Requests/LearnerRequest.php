<?php

namespace App\Http\Requests;

use App\Contract\Taken;
use App\Models\Learner;
use App\School\CurrentSchool;
use App\Sites\WholePosition;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The facts a teacher keeps of a learner: as little as needed. A minor needs a guardian. */
final class LearnerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...Taken::learner(),
            'guardian_name' => [Rule::requiredIf($this->isOfAMinor()), 'nullable', 'string', 'max:120'],
            'reference_points.*.vehicle_id' => ['nullable', 'uuid', Rule::exists('vehicles', 'id')->where('school_id', app(CurrentSchool::class)->id())],
        ];
    }

    /** As said now, or, where this leaves it out, as it was kept. */
    private function isOfAMinor(): bool
    {
        $learner = $this->route('learner');

        return $this->has('is_minor') ? $this->boolean('is_minor') : $learner instanceof Learner && $learner->is_minor;
    }

    /** @return array<string, mixed> */
    public function facts(): array
    {
        /** @var array<string, mixed> $facts */
        $facts = $this->validated();

        return WholePosition::of($facts, 'pick_up_');
    }
}
