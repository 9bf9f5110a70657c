<?php

namespace App\Sites;

use App\Models\Lesson;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Site;
use App\School\ChosenRules;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Trade\RoutineCode;

/** The ways through a site as the core reads them, and the places that lessons use of them. */
final readonly class SiteWays
{
    /** @param  list<array<string, mixed>>  $ways  as the tool answers them */
    private function __construct(private Site $site, private array $ways)
    {
    }

    /** @throws ValidationException where the core cannot make a site of it: its own sentences say why */
    public static function of(Site $site): self
    {
        try {
            $ways = Toolbox::run('site', $site->asked())['ways'];
        } catch (BadInput $bad) {
            throw ValidationException::withMessages($bad->errors);
        }

        return new self($site, $ways);
    }

    /**
     * As a list shows them; how hard one is, an instructor may say better than what is there.
     *
     * @return list<array{from: string, to: string, routine: string, score: float, words: string, overruled: bool, note: ?string}>
     */
    public function lines(): array
    {
        return array_map(function (array $way): array {
            $said = $this->site->remark($way['from'], $way['to'], $way['routine']);

            return [
                'from' => $way['from'], 'to' => $way['to'], 'routine' => $way['routine'], 'score' => $way['difficulty']['score'],
                'words' => $said['difficulty'] ?? $way['difficulty']['words'], 'overruled' => isset($said['difficulty']), 'note' => $said['note'] ?? null,
            ];
        }, $this->ways);
    }

    /**
     * @param  ?string  $routine  which of those the way teaches; null for the first that can be planned
     *
     * @throws ValidationException where nobody drives that way, or it has nothing to plan
     */
    public function place(string $from, string $to, ?string $routine): Place
    {
        $ways = $this->between($from, $to);
        if ($ways === []) {
            throw ValidationException::withMessages(['to' => 'must be an arm that can be driven to from there.']);
        }
        $taught = array_values(array_filter($ways, static fn (array $way): bool => $routine === null || $way['routine'] === $routine));
        if ($taught === []) {
            throw ValidationException::withMessages(['routine' => 'must be one of '.implode(', ', array_column($ways, 'routine')).': they are taught there.']);
        }
        $way = array_values(array_filter($taught, static fn (array $way): bool => $way['tool'] !== null))[0]
            ?? throw ValidationException::withMessages([
                $routine === null ? 'to' : 'routine' => 'has nothing to plan there: mark it in the lesson as done elsewhere.',
            ]);
        $place = Place::withTrashed()->where(['site_id' => $this->site->id, 'from_arm' => $from, 'to_arm' => $to, 'routine' => $way['routine']])->first()
            ?? new Place(['site_id' => $this->site->id, 'from_arm' => $from, 'to_arm' => $to, 'name' => $this->name($way), 'note' => null]);
        $this->write($place, $way);
        if ($place->trashed()) {
            $place->restore();
        }

        return $place;
    }

    /**
     * What lessons use of the site follows it: a way that is no more, or is another routine now, is archived; its rounds keep what they were.
     *
     * @param  ?string  $was  how the site was called before: places called after it follow its name, those that have one of their own keep it
     */
    public function follow(?string $was): void
    {
        foreach ($this->site->places()->get() as $place) {
            $ways = $this->between((string) $place->from_arm, (string) $place->to_arm);
            $way = array_values(array_filter($ways, static fn (array $one): bool => $one['routine'] === $place->routine))[0] ?? null;
            if ($way === null) {
                $place->delete();

                continue;
            }
            $place->name = match (true) {
                $place->name === $was => $this->site->name,
                str_starts_with($place->name, "{$was}: ") => $this->name($way),
                default => $place->name,
            };
            $this->write($place, $way);
        }
    }

    /**
     * Used ways that are no more, or are another routine now, and are planned in lessons to come.
     *
     * @return array<string, int> the number of those lessons, by the name of the way
     */
    public function missed(): array
    {
        $lost = $this->site->places()->get()->reject(
            fn (Place $place): bool => $this->teach((string) $place->from_arm, (string) $place->to_arm, $place->routine),
        );
        $planned = PlannedItem::query()->whereIn('place_id', $lost->modelKeys())
            ->whereIn('lesson_id', Lesson::query()->where('starts_at', '>', now())->select('id'))->get(['place_id', 'lesson_id'])->groupBy('place_id');

        return $lost->filter(static fn (Place $place): bool => $planned->has($place->id))->sortBy('name')
            ->mapWithKeys(static fn (Place $place): array => [$place->name => $planned[$place->id]->unique('lesson_id')->count()])->all();
    }

    public function teach(string $from, string $to, string $routine): bool
    {
        return in_array($routine, array_column($this->between($from, $to), 'routine'), true);
    }

    /**
     * @return array{name: string, tool: ?string, inputs: ?object} what the core is asked to plan a way, as somebody teaches; nulls where it has no plan
     */
    public function asked(string $from, string $to, string $routine, ChosenRules $chosen): array
    {
        $taught = array_values(array_filter($this->between($from, $to), static fn (array $way): bool => $way['routine'] === $routine));
        $way = $taught[0] ?? throw ValidationException::withMessages(['routine' => "must be taught on that way of {$this->site->name}."]);
        if ($way['tool'] === null) {
            return ['name' => $this->name($way), 'tool' => null, 'inputs' => null];
        }
        $shared = array_intersect_key(['practice' => (object) $chosen->answers], Toolbox::input($way['tool'])->properties());

        return ['name' => $this->name($way), 'tool' => $way['tool'], 'inputs' => (object) ($way['inputs'] + $shared)];
    }

    /** @return list<array<string, mixed>> the ways in by one arm and out by another: one for each routine it teaches */
    private function between(string $from, string $to): array
    {
        return array_values(array_filter($this->ways, static fn (array $way): bool => $way['from'] === $from && $way['to'] === $to));
    }

    /** @param  array<string, mixed>  $way */
    private function write(Place $place, array $way): void
    {
        $routine = RoutineCode::from($way['routine']);
        $facts = array_diff_key($way['inputs'], ['pack' => 0], PlannedBy::asked($routine));
        $place->fill([
            'routine' => $routine->value,
            'road' => Road::of($routine, $facts, RulePacks::byCode($this->site->pack))->toArray(),
        ])->save();
    }

    /**
     * "Ropewalk at Mole Street: from Ropewalk, right"; a road that comes twice is told by its compass point, and where there is only one by nothing.
     *
     * @param  array<string, mixed>  $way
     */
    private function name(array $way): string
    {
        if (count($this->site->arms) === 1) {
            return $this->site->name;
        }
        $arm = array_column($this->site->arms, null, 'id')[$way['from']];
        $alike = count(array_keys(array_column($this->site->arms, 'name'), $arm['name'], true)) > 1;
        $points = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];
        $road = $arm['name'].($alike ? ' ('.$points[(int) round($arm['bearing_deg'] / 45) % 8].')' : '');
        $out = $way['exit_number'] === null ? $way['out'] : "exit {$way['exit_number']}";
        $isMet = SiteKind::from($this->site->kind)->isMet();
        $end = ": from {$road}".($isMet ? ", {$out}" : '');

        return mb_substr($this->site->name, 0, 160 - mb_strlen($end)).$end;
    }
}
