<?php

namespace App\Sites;

use App\Models\Place;
use App\Models\Site;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

/** The ways through a site as the core reads them, and the places that lessons use of them. */
final readonly class SiteWays
{
    /** @param  array<string, array<string, mixed>>  $ways  by `from>to` */
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

        return new self($site, array_combine(array_map(self::key(...), $ways), $ways));
    }

    /** @return list<array{from: string, to: string, routine: string, score: float, words: string}> as a list shows them */
    public function lines(): array
    {
        return array_values(array_map(static fn (array $way): array => [
            'from' => $way['from'], 'to' => $way['to'], 'routine' => $way['routine'], 'score' => $way['difficulty']['score'],
            'words' => $way['difficulty']['words'],
        ], $this->ways));
    }

    /** @throws ValidationException where nobody drives that way, or it has nothing to plan */
    public function place(string $from, string $to): Place
    {
        $way = $this->ways["{$from}>{$to}"] ?? throw ValidationException::withMessages(['to' => 'must be an arm that can be driven to from there.']);
        if ($way['tool'] === null) {
            throw ValidationException::withMessages(['to' => 'leads on along the main road: there is no routine to plan.']);
        }
        $place = Place::withTrashed()->where(['site_id' => $this->site->id, 'from_arm' => $from, 'to_arm' => $to, 'routine' => $way['routine']])->first()
            ?? new Place(['site_id' => $this->site->id, 'from_arm' => $from, 'to_arm' => $to, 'note' => null]);
        $this->write($place, $way);
        if ($place->trashed()) {
            $place->restore();
        }

        return $place;
    }

    /** What lessons use of the site follows it: a way that is no more, or is another routine now, is archived; its rounds keep what they were. */
    public function follow(): void
    {
        foreach ($this->site->places()->get() as $place) {
            $way = $this->ways[self::key(['from' => $place->from_arm, 'to' => $place->to_arm])] ?? null;
            $way !== null && $way['routine'] === $place->routine ? $this->write($place, $way) : $place->delete();
        }
    }

    /** @param  array<string, mixed>  $way */
    private function write(Place $place, array $way): void
    {
        $routine = RoutineCode::from($way['routine']);
        $facts = array_diff_key($way['inputs'], ['pack' => 0, 'routine' => 0]);
        $place->fill([
            'name' => $this->name($way), 'routine' => $routine->value,
            'road' => Road::of($routine, $facts, RulePacks::byCode($this->site->pack))->toArray(),
        ])->save();
    }

    /**
     * "Ropewalk at Mole Street: from Ropewalk, right"; a road that comes twice is told by its compass point.
     *
     * @param  array<string, mixed>  $way
     */
    private function name(array $way): string
    {
        $arm = array_column($this->site->arms, null, 'id')[$way['from']];
        $alike = count(array_keys(array_column($this->site->arms, 'name'), $arm['name'], true)) > 1;
        $points = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];
        $road = $arm['name'].($alike ? ' ('.$points[(int) round($arm['bearing_deg'] / 45) % 8].')' : '');
        $end = ": from {$road}, ".($way['exit_number'] === null ? $way['out'] : "exit {$way['exit_number']}");

        return mb_substr($this->site->name, 0, 160 - mb_strlen($end)).$end;
    }

    /** @param  array<string, mixed>  $way */
    private static function key(array $way): string
    {
        return "{$way['from']}>{$way['to']}";
    }
}
