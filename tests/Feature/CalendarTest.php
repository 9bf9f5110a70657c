<?php

use App\Models\Learner;
use App\Models\School;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Sabre\VObject\Reader;

/* One's diary in the calendar that one has anyway, read back by the library that reads calendars; and busy times brought in from a file. */

beforeEach(function (): void {
    Carbon::setTestNow('2027-03-01T08:00:00Z');
    $this->wanda = $this->user($this->school());
    $this->wanda->forceFill(['name' => 'Wanda Orme'])->save();
    $this->school = School::query()->findOrFail($this->wanda->school_id);
    app(CurrentSchool::class)->within($this->school, function (): void {
        $learner = fn (string $name, bool $isMinor): Learner => Learner::query()->create([
            'name' => $name, 'transmission' => 'manual', 'level' => 'developing', 'pick_up' => "{$name}, at the door; by the gate", 'is_minor' => $isMinor,
            'guardian_name' => $isMinor ? 'Their mother' : null, 'guardian_contact' => $isMinor ? '0700 1' : null,
        ]);
        [$this->ada, $this->gus] = [$learner('Ada Finn', false), $learner('Gus Pell', true)];
        $this->car = Vehicle::query()->create(['name' => 'Blue', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 2]);
    });
    $this->actingAs($this->wanda);
    $this->book = fn (Learner $who, string $at, array $more = []): string => $this->postJson('api/lessons', [
        'learner_id' => $who->id, 'vehicle_id' => $this->car->id, 'starts_at' => "2027-{$at}:00Z", 'minutes' => 60, ...$more,
    ])->assertCreated()->json('id');
    $this->address = fn (string $names = 'adults'): string => parse_url(
        $this->postJson('api/calendar', ['calendar_names' => $names])->assertCreated()->json('address'), PHP_URL_PATH,
    );
    // As a calendar asks: without a session.
    $this->read = function (string $address) {
        auth()->forgetGuards();
        $answer = $this->flushSession()->get($address)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $read = Reader::read($answer->getContent());
        expect($read->validate())->toBe([]);
        $this->actingAs($this->wanda);

        return collect($read->select('VEVENT'))->map(static fn ($event): array => [
            (string) $event->SUMMARY, $event->DTSTART->getDateTime()->format('Y-m-d\TH:i\Z'), $event->DTEND->getDateTime()->format('H:i'),
            (string) $event->LOCATION, (string) $event->STATUS,
        ])->values()->all();
    };
});
afterEach(fn () => Carbon::setTestNow());

it('reads the diary at a secret address, over both changes of the clock, and names minors only where that is wanted', function (): void {
    ($this->book)($this->ada, '03-24T17:30');
    ($this->book)($this->gus, '03-31T16:30');
    ($this->book)($this->ada, '10-27T16:30');
    ($this->book)($this->ada, '11-03T17:30', ['state' => 'wished']);
    $off = ($this->book)($this->ada, '04-02T10:00');
    $this->patchJson("api/lessons/{$off}", ['state' => 'cancelled', 'ended_by' => 'learner'])->assertOk();
    $this->postJson('api/busy-times', ['kind' => 'busy', 'title' => 'Dentist', 'starts_at' => '2027-03-25T09:00:00Z', 'ends_at' => '2027-03-25T09:40:00Z']);
    $where = 'Ada Finn, at the door; by the gate';
    expect(($this->read)(($this->address)()))->toEqualCanonicalizing([
        ['Lesson: Ada Finn', '2027-03-24T17:30Z', '18:30', $where, 'CONFIRMED'], ['Lesson', '2027-03-31T16:30Z', '17:30', '', 'CONFIRMED'],
        ['Lesson: Ada Finn', '2027-10-27T16:30Z', '17:30', $where, 'CONFIRMED'], ['Lesson: Ada Finn', '2027-11-03T17:30Z', '18:30', $where, 'TENTATIVE'],
        ['Dentist', '2027-03-25T09:00Z', '09:40', '', 'CONFIRMED'],
    ]);
    expect(array_column(($this->read)(($this->address)('nobody')), 0))->each->not->toContain('Ada')
        ->and(array_column(($this->read)(($this->address)('all')), 0))->toContain('Lesson: Gus Pell');
});

it('makes a new address and stops the old one, keeps no secret, and stops where it is told to', function (): void {
    ($this->book)($this->ada, '03-24T17:30');
    $this->getJson('api/calendar')->assertExactJson(['on' => false, 'calendar_names' => 'adults']);
    $old = ($this->address)();
    $new = ($this->address)();
    expect($old)->not->toBe($new)->and(($this->read)($new))->toHaveCount(1)->and(DB::table('users')->where('id', $this->wanda->id)->value('calendar_key'))
        ->not->toContain(basename($new, '.ics'));
    $this->get($old)->assertNotFound();
    $this->putJson('api/calendar', ['calendar_names' => 'nobody'])->assertOk()->assertExactJson(['on' => true, 'calendar_names' => 'nobody']);
    expect(($this->read)($new)[0][0])->toBe('Lesson');
    $this->wanda->forceFill(['suspended_at' => now()])->save();
    $this->get($new)->assertNotFound();
    $this->wanda->forceFill(['suspended_at' => null])->save();
    $this->deleteJson('api/calendar')->assertNoContent();
    $this->get($new)->assertNotFound();
    $this->get('calendar/'.str_repeat('a', 48).'.ics')->assertNotFound();
});

it('gives one lesson as a file', function (): void {
    $lesson = ($this->book)($this->gus, '03-24T17:30');
    $read = Reader::read($this->getJson("api/lessons/{$lesson}/calendar")->assertOk()->json('ics'));
    expect($read->validate())->toBe([])->and(count($read->select('VEVENT')))->toBe(1)->and((string) $read->VEVENT->UID)->toBe("lesson-{$lesson}@noble-turn");
});

it('brings busy times in from a file: series with their exceptions by the clock on the wall, whole days, and nothing twice', function (): void {
    ($this->book)($this->ada, '04-07T16:45');
    $ics = implode("\r\n", [
        'BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Somebody//EN', 'BEGIN:VEVENT', 'UID:a', 'DTSTAMP:20270101T000000Z',
        'DTSTART;TZID=Europe/London:20270317T173000', 'DTEND;TZID=Europe/London:20270317T183000', 'RRULE:FREQ=WEEKLY;COUNT=5',
        'EXDATE;TZID=Europe/London:20270324T173000', 'SUMMARY:Choir', 'END:VEVENT', 'BEGIN:VEVENT', 'UID:b', 'DTSTAMP:20270101T000000Z',
        'DTSTART;VALUE=DATE:20270401', 'SUMMARY:Leave', 'END:VEVENT', 'BEGIN:VEVENT', 'UID:c', 'DTSTAMP:20270101T000000Z', 'DTSTART:20270402T100000Z',
        'DTEND:20270402T110000Z', 'TRANSP:TRANSPARENT', 'SUMMARY:Birthday', 'END:VEVENT', 'BEGIN:VEVENT', 'UID:d', 'DTSTAMP:20270101T000000Z',
        'DTSTART:20260402T100000Z', 'DTEND:20260402T110000Z', 'SUMMARY:Long ago', 'END:VEVENT', 'END:VCALENDAR', '',
    ]);
    $bring = fn (bool $keep): array => $this->postJson('api/busy-times/import', ['ics' => $ics, 'keep' => $keep])->assertOk()->json();
    $said = $bring(false);
    expect(array_map(static fn (array $one): string => "{$one['title']} {$one['starts_at']}", $said['held']))->toBe([
        'Choir 2027-03-17T17:30:00Z', 'Choir 2027-03-31T16:30:00Z', 'Leave 2027-03-31T23:00:00Z', 'Choir 2027-04-14T16:30:00Z',
    ])->and($said['left_out'])->toHaveCount(1)->and($said['left_out'][0])->toMatchArray(['starts_at' => '2027-04-07T16:30:00Z',
        'why' => 'Wanda Orme is taken from 17:45 to 18:45: a lesson with Ada Finn.'])->and(DB::table('busy_times')->count())->toBe(0);
    expect($bring(true))->toBe($said)->and(DB::table('busy_times')->count())->toBe(4);
    $again = $bring(true);
    expect($again['held'])->toBe([])->and($again['left_out'])->toHaveCount(5)->and(DB::table('busy_times')->count())->toBe(4);
});

it('says what is no calendar, and unfolds no series without end', function (string $ics, string $said): void {
    $this->postJson('api/busy-times/import', ['ics' => $ics, 'keep' => true])->assertUnprocessable()->assertJsonPath('errors.ics.0', $said);
})->with([
    'a letter' => ['Dear Wanda', 'This is no calendar file (iCalendar, .ics).'],
    'a card' => ["BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ada\r\nEND:VCARD\r\n", 'This is no calendar file (iCalendar, .ics).'],
    'every second' => ["BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:a\r\nDTSTAMP:20270101T000000Z\r\nDTSTART:20270302T000000Z\r\n"
        ."DTEND:20270302T000001Z\r\nRRULE:FREQ=SECONDLY\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n", 'A series in this calendar cannot be unfolded.'],
]);
