<?php

namespace App\Circuits;

use App\Models\Site;
use App\School\ChosenRules;
use App\School\RoutineLines;
use App\Sites\SiteWays;
use Illuminate\Validation\ValidationException;

/** The ways of a circuit as the sites of the school have them. */
final readonly class WaysOfCircuit
{
    /**
     * @param  list<array{site: string, from: string, to: string, routine: string}>  $ways
     * @param  array<string, Site>  $sites
     */
    private function __construct(private array $ways, private array $sites)
    {
    }

    /**
     * @param  list<array{site: string, from: string, to: string, routine: string, rounds?: int}>  $ways
     *
     * @throws ValidationException where one is no way of a site of the school
     */
    public static function of(array $ways): self
    {
        $sites = Site::query()->whereKey(array_unique(array_column($ways, 'site')))->get()->keyBy('id')->all();
        foreach ($ways as $i => $way) {
            $site = $sites[$way['site']] ?? throw ValidationException::withMessages(["ways.{$i}.site" => 'must be a site of this school.']);
            $drawn = array_filter(
                $site->ways, static fn (array $one): bool => [$one['from'], $one['to'], $one['routine']] === [$way['from'], $way['to'], $way['routine']],
            );
            if ($drawn === []) {
                throw ValidationException::withMessages(["ways.{$i}.routine" => "must be taught on a way of {$site->name}."]);
            }
        }

        return new self($ways, $sites);
    }

    /** @return list<array{name: string, tool: ?string, inputs: ?object}> of each way: what the core is asked; nulls where it has no plan */
    public function plans(ChosenRules $chosen): array
    {
        $read = array_map(SiteWays::of(...), $this->sites);

        return array_map(static fn (array $way): array => $read[$way['site']]->asked($way['from'], $way['to'], $way['routine'], $chosen), $this->ways);
    }

    /**
     * @return list<array{name: string, routine: string, rounds: int, latitude_deg: float, longitude_deg: float}> those that lie somewhere, with what is
     *     taught there as it is called
     */
    public function stops(ChosenRules $chosen): array
    {
        $titles = array_column([...RoutineLines::of($chosen), ...RoutineLines::elsewhere($chosen)], 'title', 'code');
        $stops = [];
        foreach ($this->ways as $way) {
            $site = $this->sites[$way['site']];
            if ($site->latitude_deg !== null && $site->longitude_deg !== null) {
                $stops[] = [
                    'name' => $site->name, 'routine' => $titles[$way['routine']] ?? $way['routine'], 'rounds' => (int) ($way['rounds'] ?? 1),
                    'latitude_deg' => $site->latitude_deg, 'longitude_deg' => $site->longitude_deg,
                ];
            }
        }

        return $stops;
    }
}
