<?php

namespace Database\Seeders;

use App\Models\Learner;
use App\Models\Picture;
use App\Models\Place;
use App\Models\School;
use App\Models\Site;
use App\Sites\PlacesToSites;
use App\Sites\PlainJpeg;
use App\Sites\SiteWays;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Rules\RulePacks;
use RuntimeException;

/**
 * Sites of invented Skerrivane, in open sea where no road is: most of them in the town, three where one keeps right. A row: name, what it is,
 * its roads from the west round by north (the first and third go on where there is a main road), metres east and north of the harbour, and
 * what is known of the last road.
 */
final class DemoSites
{
    private const HARBOUR = [49.2, -8.1];

    private const METRES_IN_A_DEGREE = 111_200.0;

    private const ROWS = [
        ['Ropewalk at Mole Street', 'crossroads', ['Mole Street', 'Tarpot Lane', 'Mole Street', 'Ropewalk'], 0, 0, [
            'limit_mph' => 30, 'gradient' => 0.04, 'parked' => [['side' => 'left', 'from_m' => 35, 'to_m' => 20]], 'sight_right_m' => 95,
            'measures' => [['of' => 'sight_left', 'by' => 'paces', 'number' => 28], ['of' => 'view_from', 'by' => 'eye', 'length_m' => 6]],
        ]],
        ['The closed T by the chapel', 't', ['Chapel Street', null, 'Chapel Street', 'Vestry Lane'], 420, 260, ['limit_mph' => 20, 'view' => 'closed',
            'control' => 'stop']],
        ['Harbour lights', 'lights', ['Quay Street', 'Ferry Rise', 'Quay Street', 'Harbour Way'], -180, 340, ['limit_mph' => 30, 'cycle_box_m' => 4]],
        ['Long Strand roundabout', 'roundabout', ['Long Strand', 'Gannet Drive', 'Skerry Way', 'Lower Mole'], 1250, 480, ['limit_mph' => 40]],
        ['Mini at the fish quay', 'mini', ['Quay Street', null, 'Fishgate', 'Net Loft Square'], 260, -420, ['limit_mph' => 20]],
        ['Battery Hill at Signal Close', 't', ['Battery Hill', null, 'Battery Hill', 'Signal Close'], -640, 820, ['limit_mph' => 30, 'gradient' => 0.08]],
        ['Gannet Drive at Puffin Close', 't', ['Gannet Drive', null, 'Gannet Drive', 'Puffin Close'], 1620, 210, ['limit_mph' => 30]],
        ['Salters Path at Lower Mole', 't', ['Lower Mole', null, 'Lower Mole', 'Salters Path'], 880, -260, ['limit_mph' => 20, 'view_from_m' => 6]],
        ['Skerry Way at Lantern Steps Road', 't', ['Skerry Way', null, 'Skerry Way', 'Lantern Steps Road'], 2100, 620, ['limit_mph' => 40,
            'gradient' => -0.04]],
        ['Market Rise at Fishgate', 't', ['Market Rise', null, 'Market Rise', 'Fishgate'], 120, 150, ['limit_mph' => 20, 'lanes_out' => 0]],
        ['Windlass Lane at Tarpot Lane', 'crossroads', ['Tarpot Lane', 'Windlass Lane', 'Tarpot Lane', 'Windlass Lane'], -90, -130, ['limit_mph' => 20]],
        ['Capstan Road at Cooper Row', 'crossroads', ['Capstan Road', 'Cooper Row', 'Capstan Road', 'Cooper Row'], -820, 120, ['limit_mph' => 30]],
        ['Anchor Green lights', 'lights', ['Anchor Green', 'Mast Street', 'Anchor Green', 'Mast Street'], -420, -360, ['limit_mph' => 30]],
        ['Oyster Bank roundabout', 'roundabout', ['Oyster Bank', 'Skerry Way', 'Oyster Bank', 'Pearl Road'], 2480, -140, ['limit_mph' => 50]],
        ['Cliff Street at Gull Road', 't', ['Cliff Street', null, 'Cliff Street', 'Gull Road'], -1240, 540, ['limit_mph' => 30, 'gradient' => -0.07]],
        ['Kelp Yard mini', 'mini', ['Kelp Yard', null, 'Driftwood Road', 'Sand Lane'], 640, 720, ['limit_mph' => 20]],
        ['Driftwood Road at Shingle Row', 't', ['Driftwood Road', null, 'Driftwood Road', 'Shingle Row'], 780, 940, ['limit_mph' => 30]],
        ['Beacon Road at Cairn Lane', 't', ['Beacon Road', null, 'Beacon Road', 'Cairn Lane'], -1560, 1180, ['limit_mph' => 40, 'view' => 'restricted']],
        ['Beacon Road lights', 'lights', ['Beacon Road', 'Sandpit Lane', 'Beacon Road', 'Sandpit Lane'], -1180, 960, ['limit_mph' => 40]],
        ['Tidewell Avenue at Eider Close', 't', ['Tidewell Avenue', null, 'Tidewell Avenue', 'Eider Close'], 340, 1240, ['limit_mph' => 30]],
        ['Tidewell Avenue at Teal Street', 'crossroads', ['Tidewell Avenue', 'Teal Street', 'Tidewell Avenue', 'Teal Street'], 120, 1180, ['limit_mph' => 30]],
        ['Tidewell roundabout', 'roundabout', ['Tidewell Avenue', 'Northgate', 'Tidewell Avenue', 'Ferry Rise'], -240, 1140, ['limit_mph' => 30]],
        ['Northgate at School Walk', 't', ['Northgate', null, 'Northgate', 'School Walk'], -300, 1520, ['limit_mph' => 20]],
        ['Northgate at Tanners Hill', 't', ['Northgate', null, 'Northgate', 'Tanners Hill'], -260, 1810, ['limit_mph' => 30, 'gradient' => 0.1]],
        ['Smokehouse Lane at Barrel Street', 'crossroads', ['Smokehouse Lane', 'Barrel Street', 'Smokehouse Lane', 'Barrel Street'], 480, -640,
            ['limit_mph' => 20]],
        ['Smokehouse mini', 'mini', ['Smokehouse Lane', null, 'Salt Road', 'Cask Street'], 760, -720, ['limit_mph' => 20]],
        ['Salt Road at Brine Close', 't', ['Salt Road', null, 'Salt Road', 'Brine Close'], 1020, -860, ['limit_mph' => 30]],
        ['Salt Road roundabout', 'roundabout', ['Salt Road', 'Pearl Road', 'Salt Road', 'Breakwater'], 1480, -780, ['limit_mph' => 40]],
        ['Breakwater at Pilot Street', 't', ['Breakwater', null, 'Breakwater', 'Pilot Street'], 1560, -1240, ['limit_mph' => 30, 'path_before_m' => 8]],
        ['Mast Street at Spar Lane', 'crossroads', ['Mast Street', 'Spar Lane', 'Mast Street', 'Spar Lane'], -460, -680, ['limit_mph' => 20]],
        ['Sailmakers lights', 'lights', ['Mast Street', 'Canvas Road', 'Mast Street', 'Canvas Road'], -760, -820, ['limit_mph' => 30]],
        ['Canvas Road at Needle Row', 't', ['Canvas Road', null, 'Canvas Road', 'Needle Row'], -1080, -740, ['limit_mph' => 30]],
        ['Westway at Marram Road', 't', ['Westway', null, 'Westway', 'Marram Road'], -2050, 220, ['limit_mph' => 40, 'sight_left_m' => 60,
            'sight_right_m' => 140]],
        ['Westway roundabout', 'roundabout', ['Westway', 'Beacon Road', 'Westway', 'Dune Road'], -2380, 420, ['limit_mph' => 60]],
        ['Dune Road at Heather Lane', 'crossroads', ['Dune Road', 'Heather Lane', 'Dune Road', 'Heather Lane'], -2240, -380, ['limit_mph' => 60,
            'view' => 'restricted']],
        ['Upper Wold Road at Nether Wold Road by the old pumping house', 't',
            ['Upper Wold Road', null, 'Upper Wold Road', 'Nether Wold Road'], -2900, -820, ['limit_mph' => 60, 'view_beyond_m' => 2]],
        ['Causeway at Ferry Slip', 't', ['Causeway', null, 'Causeway', 'Ferry Slip'], 420, -1320, ['limit_mph' => 20]],
        ['Alder and Fourth', 'all-stop', ['Fourth Street', 'Alder Avenue', 'Fourth Street', 'Alder Avenue'], 38_000, 24_000, ['limit_mph' => 25]],
        ['Alder and Main', 'lights', ['Main Street', 'Alder Avenue', 'Main Street', 'Alder Avenue'], 38_000, 24_420, ['limit_mph' => 35]],
        ['Birch alley behind Fourth', 'alley', ['Fourth Street', null, 'Fourth Street', 'Birch alley'], 38_180, 24_000, ['limit_mph' => 15]],
    ];

    public static function create(): void
    {
        foreach (self::ROWS as [$name, $start, $roads, $east, $north, $known]) {
            $site = new Site([
                'name' => $name, 'kind' => ['roundabout' => 'roundabout', 'mini' => 'mini-roundabout'][$start] ?? 'junction',
                // Where one keeps right a branch of the school teaches.
                'pack' => $east > 10_000 ? 'na' : 'gb', 'arms' => self::arms($start, $roads, $known),
            ] + self::at($east, $north));
            $site->ways = SiteWays::of($site)->lines();
            $site->save();
        }
        $ropewalk = Site::query()->where('name', self::ROWS[0][0])->firstOrFail();
        SiteWays::of($ropewalk)->place('s', 'e', null);
        $drawn = PlainJpeg::of((string) file_get_contents(__DIR__.'/pictures/ropewalk.jpg')) ?? throw new RuntimeException('The picture of Ropewalk is none.');
        Picture::query()->create([
            'site_id' => $ropewalk->id, 'arm' => 's', 'note' => 'Up Ropewalk: the van stands until ten, the line is just behind it',
            'width' => $drawn->width, 'height' => $drawn->height, 'image' => base64_encode($drawn->bytes),
            'lines' => [[[0.47, 0.6], [0.44, 0.68], [0.42, 0.78]], [[0.42, 0.78], [0.415, 0.74]], [[0.42, 0.78], [0.445, 0.755]]],
        ]);
    }

    /**
     * The places of the lessons as ways of sites, along the streets of the town; those that keep right at the branch.
     *
     * @param  list<Place>  $places
     */
    public static function draw(array $places, string $pack): void
    {
        foreach ($places as $i => $place) {
            $row = DB::table('places')->where('id', $place->id)->first() ?? throw new RuntimeException('The place is gone.');
            $site = PlacesToSites::draw($row, RulePacks::byCode($pack)) ?? throw new RuntimeException("{$place->name} is drawn as no site.");
            // A spiral of steps of equal length from the harbour outwards: no two lie on top of each other.
            $turn = $i * M_PI * (3.0 - sqrt(5.0));
            $out = 300.0 + 2_400.0 * sqrt(($i + 1) / count($places));
            [$east, $north] = $pack === 'na' ? [38_000 + 90 * $i, 23_500 - 130 * $i] : [(int) ($out * cos($turn)), (int) ($out * sin($turn) * 0.7)];
            Site::query()->whereKey($site)->update(self::at($east, $north));
        }
    }

    /**
     * The school at the harbour, and learners picked up around it; of some nobody has said where that is.
     *
     * @param  array<int, Learner>  $learners  one after the other
     */
    public static function pickUps(School $school, array $learners): void
    {
        $school->update(self::at(-180, -240));
        foreach ($learners as $i => $learner) {
            if ($i % 5 !== 4) {
                $turn = 1.0 + $i * M_PI * (3.0 - sqrt(5.0));
                $at = self::at((int) ((500 + 130 * $i) * cos($turn)), (int) ((500 + 130 * $i) * sin($turn) * 0.7));
                $learner->update(['pick_up_latitude_deg' => $at['latitude_deg'], 'pick_up_longitude_deg' => $at['longitude_deg']]);
            }
        }
    }

    /** @return array{latitude_deg: float, longitude_deg: float} so many metres from the harbour */
    private static function at(int $east, int $north): array
    {
        [$latitude, $longitude] = self::HARBOUR;

        return [
            'latitude_deg' => round($latitude + $north / self::METRES_IN_A_DEGREE, 6),
            'longitude_deg' => round($longitude + $east / self::METRES_IN_A_DEGREE / cos(deg2rad($latitude)), 6),
        ];
    }

    /**
     * @param  list<?string>  $roads
     * @param  array<string, mixed>  $known
     * @return list<array<string, mixed>>
     */
    private static function arms(string $start, array $roads, array $known): array
    {
        $arms = [];
        $names = array_filter(array_combine(['w', 'n', 'e', 's'], $roads));
        foreach ($names as $id => $road) {
            $isMain = $id === 'w' || $id === 'e';
            $arms[] = ['id' => $id, 'name' => $road, 'bearing_deg' => ['w' => 270, 'n' => 0, 'e' => 90,
                's' => 180][$id]] + ($id === 's' ? $known : []) + match ($start) {
                    'lights' => ['control' => 'signals'],
                    'all-stop' => ['control' => 'all-way-stop'],
                    'alley' => $isMain ? ['control' => 'none'] : ['alley' => true],
                    't', 'crossroads' => ['control' => $isMain ? 'none' : 'give-way'],
                    default => ['control' => 'give-way'],
                } + ($isMain ? ['limit_mph' => min(40, ($known['limit_mph'] ?? 30) + 10)] : ['limit_mph' => 30]);
        }

        return $arms;
    }
}
