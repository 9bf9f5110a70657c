<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Http\Resources\ShowDiary;
use App\Models\School;
use App\Models\Text;
use App\School\CurrentSchool;
use App\Telling\Outbox;
use App\Telling\TextSettings;
use App\Telling\TextWords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Diary\TextKind;

/** The outbox of texts to learners: what whoever teaches passes on, and what the school tells in which words. */
final class TextController extends Controller
{
    /** What the owner sees of the outbox. */
    private const SHOWN = 100;

    /** Of the lessons of who is signed in: what is not passed on, while it still matters. */
    public function index(Request $request): JsonResponse
    {
        $mine = $this->user($request)->id;
        $texts = Text::query()->with(['learner', 'lesson'])->whereNull('passed_on_at')
            ->whereHas('lesson', static fn ($lesson) => $lesson->where('instructor_id', $mine)->where('starts_at', '>', now()))
            ->orderBy('made_at')->orderBy('id')->get();

        return response()->json($texts->sortBy(static fn (Text $text): string => $text->lesson->starts_at->toIso8601ZuluString())->values()
            ->map(ShowDiary::text(...)));
    }

    public function update(Request $request, Text $text): JsonResponse
    {
        Gate::authorize('update', $text->lesson);
        $text->update(['passed_on_at' => $request->validate(TakenOfDiary::passedOn())['passed_on'] ? now() : null]);

        return response()->json(ShowDiary::text($text));
    }

    public function settings(CurrentSchool $current): JsonResponse
    {
        return response()->json(self::told($current->school()));
    }

    public function change(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::texts());
        $wrong = [];
        foreach (TextKind::cases() as $kind) {
            $unknown = TextWords::unknown($kind, $said['words'][$kind->value] ?? '');
            if ($unknown !== []) {
                $wrong["words.{$kind->value}"] = 'knows no {'.implode('}, {', $unknown).'}: there are {'.implode('}, {', TextWords::places($kind)).'}.';
            }
        }
        if ($said['quiet_from'] === $said['quiet_until']) {
            $wrong['quiet_until'] = 'must be another time than it begins.';
        }
        $wrong === [] ?: throw ValidationException::withMessages($wrong);
        $school = $current->school();
        DB::transaction(static function () use ($school, $said): void {
            $wasOn = TextSettings::of($school)->isOn;
            $school->update(['texts' => $said]);
            if ($said['on'] && ! $wasOn) {
                (new Outbox($school))->begin();
            }
        });

        return response()->json(self::told($school));
    }

    /** @return array<string, mixed> */
    private static function told(School $school): array
    {
        $kinds = TextKind::cases();
        $of = static fn (callable $say): array => array_combine(array_column($kinds, 'value'), array_map($say, $kinds));

        return [
            ...TextSettings::of($school)->told(), 'usual' => $of(TextWords::usual(...)), 'places' => $of(TextWords::places(...)),
            'outbox' => Text::query()->with(['learner', 'lesson'])->latest('made_at')->orderByDesc('id')->limit(self::SHOWN)->get()->map(ShowDiary::text(...)),
        ];
    }
}
