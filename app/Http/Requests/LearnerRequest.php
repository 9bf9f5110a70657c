<?php

namespace App\Http\Requests;

use App\Models\Learner;
use App\School\CurrentSchool;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The facts a teacher keeps of a learner: as little as needed. A minor needs a guardian. */
final class LearnerRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'phone' => ['nullable', 'string', 'max:40'],
            'email' => ['nullable', 'email', 'max:190'],
            'pick_up' => ['nullable', 'string', 'max:190'],
            'licence_seen_on' => ['nullable', 'date', 'before_or_equal:tomorrow'],
            'eyesight_checked_on' => ['nullable', 'date', 'before_or_equal:tomorrow'],
            'transmission' => ['required', 'in:manual,automatic'],
            'level' => ['required', 'in:beginner,developing,independent'],
            'is_minor' => ['sometimes', 'boolean'],
            'guardian_name' => [Rule::requiredIf($this->isOfAMinor()), 'nullable', 'string', 'max:120'],
            'guardian_contact' => ['nullable', 'string', 'max:190'],
            'guardian_consent_on' => ['nullable', 'date', 'before_or_equal:tomorrow'],
            'reference_points' => ['sometimes', 'array', 'max:20'],
            'reference_points.*.what' => ['required', 'string', 'max:120'],
            'reference_points.*.vehicle_id' => ['nullable', 'uuid', Rule::exists('vehicles', 'id')->where('school_id', app(CurrentSchool::class)->id())],
            'reference_points.*.where' => ['required', 'string', 'max:200'],
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

        return $facts;
    }
}
