<?php

use App\Models\Learner;
use App\Models\School;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/*
 * Calendars, held against a reader of another house (ical.js): what goes out is read as it was meant, over both changes of the clock; what comes
 * in is unfolded as that reader unfolds it.
 */

/** Great Britain since 1996, as a calendar says it. */
const LONDON = [
    'BEGIN:VTIMEZONE', 'TZID:Europe/London', 'BEGIN:DAYLIGHT', 'DTSTART:19960331T010000', 'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'TZOFFSETFROM:+0000',
    'TZOFFSETTO:+0100', 'END:DAYLIGHT', 'BEGIN:STANDARD', 'DTSTART:19961027T020000', 'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU', 'TZOFFSETFROM:+0100',
    'TZOFFSETTO:+0000', 'END:STANDARD', 'END:VTIMEZONE',
];

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01T08:00:00Z');
    $this->wanda = $this->user($this->school());
    $school = School::query()->findOrFail($this->wanda->school_id);
    app(CurrentSchool::class)->within($school, function (): void {
        $this->ada = Learner::query()->create([
            'name' => 'Ada “Flint” Finn, Zoë', 'transmission' => 'manual', 'level' => 'developing', 'pick_up' => 'Mole; gate, 2',
        ]);
        $this->car = Vehicle::query()->create(['name' => 'Blue', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2]);
    });
    $this->actingAs($this->wanda);
    $this->read = static fn (string $ics): array => json_decode(Process::path(base_path())->input($ics)->run([
        'node', 'tests/readers/icalendar.mjs', '2027-03-01T08:00:00Z', '2028-03-01T08:00:00Z',
    ])->throw()->output(), true);
});
afterEach(fn () => Carbon::setTestNow());

it('is read as it was meant: a lesson every week over both changes of the clock, busy times, names with all their signs', function (): void {
    $first = $this->postJson('api/lessons', [
        'learner_id' => $this->ada->id, 'vehicle_id' => $this->car->id, 'starts_at' => '2027-03-10T17:30:00Z', 'minutes' => 90,
    ])->assertCreated()->json('id');
    $this->postJson("api/lessons/{$first}/series", ['weeks' => 1, 'times' => 40])->assertCreated();
    $this->postJson('api/busy-times', [
        'kind' => 'busy', 'title' => 'Choir; part 2', 'starts_at' => '2027-03-28T00:30:00Z', 'ends_at' => '2027-03-28T02:00:00Z',
    ])->assertCreated();
    $address = (string) parse_url($this->postJson('api/calendar', ['calendar_names' => 'all'])->json('address'), PHP_URL_PATH);
    $read = ($this->read)((string) $this->get($address)->assertOk()->getContent());
    $zone = new DateTimeZone('Europe/London');
    $lessons = array_values(array_filter($read, static fn (array $one): bool => $one['title'] === 'Lesson: Ada “Flint” Finn, Zoë'));
    expect($lessons)->toHaveCount(41)->and(array_values(array_unique(array_map(
        static fn (array $one): string => Carbon::parse($one['starts_at'])->setTimezone($zone)->format('l H:i').' '
            .Carbon::parse($one['ends_at'])->setTimezone($zone)->format('H:i')." {$one['where']} {$one['status']}", $lessons,
    ))))->toBe(['Wednesday 17:30 19:00 Mole; gate, 2 CONFIRMED'])
        // The same hour on the wall is two hours in UTC.
        ->and(array_values(array_unique(array_map(static fn (array $one): string => substr($one['starts_at'], 11, 5), $lessons))))->toBe(['17:30', '16:30']);
    $stored = DB::table('lessons')->orderBy('starts_at')->pluck('starts_at')->map(static fn (string $at): string => str_replace(' ', 'T', $at).'Z')->all();
    expect(array_column($lessons, 'starts_at'))->toBe($stored)->and($read)->toHaveCount(42);
});

it('unfolds what comes in as another reader does: series by day, week, month and year, with what was left out and what was moved', function (): void {
    mt_srand(3);
    $two = static fn (int $number): string => str_pad((string) $number, 2, '0', STR_PAD_LEFT);
    $compared = 0;
    for ($case = 0; $case < 30; $case++) {
        $time = $two(mt_rand(6, 21)).['00', '15', '30'][mt_rand(0, 2)].'00';
        // A series begins on a day of its own: what it means otherwise no standard says (RFC 5545, 3.8.5.3).
        $nth = mt_rand(1, 4);
        $month = ['March', 'May', 'July', 'August', 'October'][mt_rand(0, 4)];
        [$rule, $first] = [
            ['FREQ=DAILY;INTERVAL='.mt_rand(1, 9).';COUNT='.mt_rand(2, 40), "20 {$month} 2027"],
            ['FREQ=WEEKLY;INTERVAL='.mt_rand(1, 3).';BYDAY=MO,TH;COUNT='.mt_rand(2, 40), "second thursday of {$month} 2027"],
            ['FREQ=WEEKLY;UNTIL=20271115T235959Z', "18 {$month} 2027"],
            ["FREQ=MONTHLY;BYDAY={$nth}TU;COUNT=".mt_rand(2, 11), ['', 'first', 'second', 'third', 'fourth'][$nth]." tuesday of {$month} 2027"],
            ['FREQ=MONTHLY;BYMONTHDAY=31;COUNT='.mt_rand(2, 6), "31 {$month} 2027"],
            ['FREQ=YEARLY;COUNT=3', "9 {$month} 2027"],
            ['FREQ=MONTHLY;BYDAY=-1FR;INTERVAL=2', "last friday of {$month} 2027"],
        ][$case % 7];
        $start = (new DateTimeImmutable($first))->format('Ymd')."T{$time}";
        $event = [
            'BEGIN:VEVENT', 'UID:a', 'DTSTAMP:20270101T000000Z', "DTSTART;TZID=Europe/London:{$start}", 'DURATION:PT45M', "RRULE:{$rule}",
            'SUMMARY:Choir',
        ];
        $ics = static fn (array $more, array $moved = []): string => implode("\r\n", [
            'BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//EN', ...LONDON, ...$event, ...$more, 'END:VEVENT', ...$moved, 'END:VCALENDAR', '',
        ]);
        $plain = ($this->read)($ics([]));
        // One of them is left out, and another put an hour later.
        $wall = static fn (array $one): string => Carbon::parse($one['starts_at'])->setTimezone('Europe/London')->format('Ymd\THis');
        $out = count($plain) > 2 ? $wall($plain[1]) : null;
        $late = count($plain) > 3 ? $wall($plain[2]) : null;
        $file = $ics($out === null ? [] : ["EXDATE;TZID=Europe/London:{$out}"], $late === null ? [] : [
            'BEGIN:VEVENT', 'UID:a', 'DTSTAMP:20270101T000000Z', "RECURRENCE-ID;TZID=Europe/London:{$late}",
            'DTSTART;TZID=Europe/London:'.Carbon::parse($late, 'Europe/London')->addHour()->format('Ymd\THis'), 'DURATION:PT45M',
            'SUMMARY:Choir, later', 'END:VEVENT',
        ]);
        $ours = $this->postJson('api/busy-times/import', ['ics' => $file, 'keep' => false])->assertOk()->json();
        $theirs = array_map(static fn (array $one): array => array_diff_key($one, ['where' => 0, 'status' => 0]), ($this->read)($file));
        expect($ours['left_out'])->toBe([])->and($ours['held'])->toEqual($theirs, "{$start} {$rule}");
        $compared += count($theirs);
    }
    expect($compared)->toBeGreaterThan(250);
});
