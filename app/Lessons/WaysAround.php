<?php

namespace App\Lessons;

use App\Circuits\DrivesMeasured;
use App\Models\Leg;
use App\Models\Site;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\MeasuredLeg;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Next\NextLesson;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Site\Site as Drawn;
use NobleTurn\Core\Trade\RoutineCode;

/** The ways of a school that a lesson could drive: of each routine the nearest few, where their sites lie and the law is the lesson's. */
final readonly class WaysAround
{
    /** Of each routine so many are looked at, and of all of them (assumed): the nearest to where the lesson begins. */
    private const EACH = 5;

    private const MOST = 60;

    /** Between the parts of a way's name in an address. */
    private const BETWEEN = '~';

    /**
     * @param  list<Stop>  $stops  numbered by their place in the list
     * @param  list<Routine>  $routines  of the stops
     * @param  list<array{site: string, name: string, from: string, to: string, routine: string}>  $ways  the same, as the school has them
     * @param  int  $farther  ways that were not looked at: others of their kind are nearer
     */
    private function __construct(public array $stops, public array $routines, public array $ways, public int $farther)
    {
    }

    /** @param  list<string>  $named  ways that are looked at however far they are, as an address names them */
    public static function of(RulePack $pack, Position $start, Drive $drive, array $named = []): self
    {
        $found = $each = [];
        $codes = array_column(Catalogue::codes($pack), 'value');
        /** @var list<Site> $sites */
        $sites = Site::query()->where('pack', $pack->code())->whereNotNull('latitude_deg')->whereNotNull('longitude_deg')->orderBy('name')->get()->all();
        foreach ($sites as $site) {
            $at = Position::ofDegrees((float) $site->latitude_deg, (float) $site->longitude_deg);
            foreach ($site->ways as $way) {
                if (in_array($way['routine'], $codes, true)) {
                    $found[] = [$start->metresTo($at), $site, $way, $at, in_array(self::named($site->id, $way), $named, true)];
                }
            }
        }
        // Named ones first, then the nearest.
        usort($found, static fn (array $one, array $other): int => [$other[4], $one[0], $one[1]->id] <=> [$one[4], $other[0], $other[1]->id]);
        $stops = $routines = $ways = [];
        foreach ($found as [$metres, $site, $way, $at, $isNamed]) {
            $code = $way['routine'];
            if (! $isNamed && (($each[$code] ?? 0) >= self::EACH || count($ways) >= self::MOST)) {
                continue;
            }
            $each[$code] = ($each[$code] ?? 0) + 1;
            $routine = RoutineCode::from($code);
            $name = self::said($site, $way);
            $stops[] = new Stop(
                (string) count($ways), $name, $at, $at, KindOfRoad::usual($routine),
                Site::howHard($way), NextLesson::ROUNDS, $drive,
            );
            $routines[] = Catalogue::routine($routine, $pack);
            $ways[] = ['site' => $site->id, 'name' => $name, 'from' => $way['from'], 'to' => $way['to'], 'routine' => $code];
        }

        return new self($stops, $routines, $ways, count($found) - count($ways));
    }

    /** Drives between them as they were measured, estimated where nobody did. */
    public function legs(Position $start, Position $end, Drive $drive): Legs
    {
        $of = [];
        foreach ($this->ways as $i => $way) {
            $of[$way['site']][] = (string) $i;
        }
        $measured = [];
        foreach (DrivesMeasured::of(Leg::query()->latest('driven_at')->limit(DrivesMeasured::MOST)->get()) as $drivenOnce) {
            foreach ($of[$drivenOnce['from']] ?? [] as $from) {
                foreach ($of[$drivenOnce['to']] ?? [] as $to) {
                    $measured["{$from} {$to}"] = new MeasuredLeg($from, $to, (float) $drivenOnce['time_s'], (float) $drivenOnce['distance_m']);
                }
            }
        }

        return Legs::between($start, $end, $this->stops, $drive, array_values($measured));
    }

    /**
     * Names of ways in an address as the proposal knows them, and of routines as they are.
     *
     * @param  list<string>  $named
     * @return list<string>
     */
    public function ids(array $named): array
    {
        $numbers = [];
        foreach ($this->ways as $i => $way) {
            $numbers[self::named($way['site'], $way)] = (string) $i;
        }

        return array_map(static fn (string $one): string => $numbers[$one] ?? $one, $named);
    }

    /** @param  array{from: string, to: string, routine: string}  $way */
    private static function named(string $site, array $way): string
    {
        return implode(self::BETWEEN, [$site, $way['from'], $way['to'], $way['routine']]);
    }

    /**
     * By the roads one comes and goes by where there are several, told apart by the compass where two have one name.
     *
     * @param  array{from: string, to: string}  $way
     */
    private static function said(Site $site, array $way): string
    {
        $often = array_count_values(array_column($site->arms, 'name'));
        $names = [];
        foreach ($site->arms as ['id' => $id, 'name' => $name, 'bearing_deg' => $bearing]) {
            $names[$id] = $often[$name] > 1 ? "{$name} (".Drawn::compass((float) $bearing).')' : $name;
        }

        return count($site->arms) < 3 ? $site->name : "{$site->name}: ".($names[$way['from']] ?? '').' to '.($names[$way['to']] ?? '');
    }
}
