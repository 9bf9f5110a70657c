<?php

use App\Http\Middleware\Kept;
use App\School\SchoolVersion;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Routes;

/* Answers that are kept: never older than what was written, whoever wrote it and by whichever address. */

beforeEach(function (): void {
    $this->travelTo('2026-05-20 09:00:00');
    SchoolVersion::within(DB::transactionLevel());
    config(['cache.kept' => 'array']);
    $this->kept = array_values(array_map(
        static fn ($route): string => substr($route->uri(), 4),
        array_filter(Route::getRoutes()->getRoutes(), static fn ($route): bool => in_array(Kept::class, $route->gatherMiddleware(), true)),
    ));
});
afterEach(fn () => SchoolVersion::within(0));

it('gives what it would make anew, after every write there is', function (): void {
    expect(count($this->kept))->toBeGreaterThan(5);
    $world = $this->world('Ours');
    $ids = $world['ids'];
    $ask = function () use ($ids, $world): array {
        return array_map(function (string $uri) use ($ids, $world): string {
            [$method, $address] = Routes::addressed("GET {$uri}", $ids);
            $answer = $this->actingAs($world['owner'])->json($method, $address);

            return "{$uri} {$answer->status()} {$answer->getContent()}";
        }, $this->kept);
    };
    $changed = 0;
    foreach (Routes::withBodies($ids) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $ids);
        if ($method === 'GET') {
            continue;
        }
        DB::beginTransaction();
        SchoolVersion::within(DB::transactionLevel());
        Cache::store('array')->flush();
        $before = $ask();
        $this->actingAs($world['owner'])->json($method, $uri, $body);
        $after = $ask();
        config(['cache.kept' => null]);
        expect($after)->toBe($ask(), $route);
        config(['cache.kept' => 'array']);
        $changed += (int) ($after !== $before);
        DB::rollBack();
        SchoolVersion::within(DB::transactionLevel());
    }
    // Many of them change what is kept: otherwise nothing would have been shown.
    expect($changed)->toBeGreaterThan(15);
});

it('is really kept: a second time nothing is asked of the tables but who it is, what it is about, and the version', function (): void {
    $world = $this->world('Ours');
    $this->actingAs($world['owner']);
    [, $address] = Routes::addressed('GET learners/{learner}', $world['ids']);
    $queries = function () use ($address): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson($address)->assertOk();

        return count(DB::getQueryLog());
    };
    // The first reading after marks came is noted: that is a write.
    $this->travel(1)->minutes();
    $queries();
    expect($queries())->toBeGreaterThan(8)->and($queries())->toBe(2);
    // After half an hour it is made anew: the day may have turned.
    $this->travel(31)->minutes();
    expect($queries())->toBeGreaterThan(6)->and($queries())->toBe(2);
    // Where the workers share no memory every answer is made.
    config(['cache.kept' => null]);
    expect($queries())->toBeGreaterThan(5)->and($queries())->toBeGreaterThan(5);
});

it('keeps nobody’s answer for anybody else, and none that was refused', function (): void {
    $world = $this->world('Ours');
    $colleague = $this->user(App\Models\School::query()->findOrFail($world['owner']->school_id));
    [, $address] = Routes::addressed('GET lessons/{lesson}', $world['ids']);
    $this->actingAs($world['owner'])->getJson($address)->assertOk();
    $this->actingAs($world['owner'])->putJson('api/school/reading', ['colleagues_read' => false])->assertOk();
    $this->actingAs($world['owner'])->getJson($address)->assertOk();
    $this->actingAs($colleague)->getJson($address)->assertForbidden();
    $this->actingAs($world['owner'])->putJson('api/school/reading', ['colleagues_read' => true])->assertOk();
    $this->actingAs($colleague->fresh())->getJson($address)->assertOk();
    $this->actingAs($this->user($this->school('Theirs'), 'owner'))->getJson($address)->assertNotFound();
});

it('keeps a calendar’s feed the same way', function (): void {
    $world = $this->world('Ours');
    $this->actingAs($world['owner']);
    $address = $this->postJson('api/calendar', ['calendar_names' => 'all'])->assertCreated()->json('address');
    $feed = fn (): string => (string) $this->get((string) parse_url((string) $address, PHP_URL_PATH))->assertOk()->getContent();
    $starts = fn (): array => preg_match_all('/^DTSTART.*$/m', $feed(), $found) > 0 ? $found[0] : [];
    $first = $feed();
    $this->travel(1)->minutes();
    // Word for word: nothing was made anew.
    expect($feed())->toBe($first);
    $was = $starts();
    $this->patchJson("api/lessons/{$world['ids']['lesson']}", ['starts_at' => '2026-05-28T14:00:00Z'])->assertOk();
    expect($starts())->not->toBe($was);
});

it('keeps long answers packed, word for word, and makes anew what is too long even so', function (): void {
    $school = $this->user($this->school('Ours'), 'owner')->school_id;
    mt_srand(22);
    $noise = implode(' ', array_map(static fn (): string => dechex(mt_rand()), range(1, 200_000)));
    foreach (['' => true, 'Short.' => true, str_repeat('BEGIN:VEVENT – Möwe’s lesson ', 60_000) => true, $noise => false] as $answer => $isKept) {
        $kept = App\School\KeptAnswers::of('an answer', $school);
        Cache::store('array')->flush();
        $kept?->put((string) $answer);
        expect($kept?->get() === (string) $answer)->toBe($isKept);
    }
});

it('moves once for a whole transaction, not at all where it is rolled back, and each school apart', function (): void {
    [$ours, $theirs] = [$this->user($this->school('Ours'), 'owner'), $this->user($this->school('Theirs'), 'owner')];
    $this->actingAs($ours);
    $versions = fn (): array => array_map(static fn ($user): string => SchoolVersion::of($user->school_id), [$ours, $theirs]);
    $write = fn (string $name) => DB::table('learners')->insert([
        'id' => (string) Str::uuid7(), 'school_id' => $ours->school_id, 'name' => $name, 'transmission' => 'manual', 'level' => 'beginner',
        'reference_points' => '[]', 'practice' => '{}',
    ]);
    [$one, $other] = $versions();
    $write('a');
    expect($versions())->toBe([(string) ($one + 1), $other]);
    DB::transaction(function () use ($write, $versions, $one, $other): void {
        $write('b');
        $write('c');
        expect($versions())->toBe([(string) ($one + 1), $other]);
    });
    expect($versions())->toBe([(string) ($one + 2), $other]);
    rescue(fn () => DB::transaction(function () use ($write): void {
        $write('d');
        throw new RuntimeException('No.');
    }), report: false);
    expect($versions())->toBe([(string) ($one + 2), $other]);
    // Reading moves nothing.
    $this->getJson('api/learners')->assertOk();
    expect($versions())->toBe([(string) ($one + 2), $other]);
    // Nobody is signed in: whose it was is not known.
    auth()->forgetGuards();
    DB::table('learners')->where('name', 'a')->update(['name' => 'e']);
    expect($versions()[0])->not->toBe((string) ($one + 2));
});

it('knows what changes an answer from what does not', function (): void {
    foreach ([
        'insert into `marks` (`id`) values (?)', 'UPDATE schools SET name = ?', 'delete from `lessons` where 1', 'insert ignore into `rounds` values (1)',
        'replace into places values (1)', 'update `learners` inner join `lessons` on 1 set x = 1', 'truncate `marks`',
    ] as $sql) {
        expect(SchoolVersion::writes($sql))->toBeTrue($sql);
    }
    foreach ([
        'select * from `marks`', 'insert into `sessions` values (1)', 'update `cache` set `value` = ?', 'delete from `jobs` where `id` = ?',
        'insert into `told_lessons` (`id`) values (?) on duplicate key update `body` = 1', 'insert into school_versions values (1)', 'set names utf8',
        'with x as (select 1) select * from x',
    ] as $sql) {
        expect(SchoolVersion::writes($sql))->toBeFalse($sql);
    }
});
