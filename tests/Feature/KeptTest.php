<?php

use App\Http\Middleware\Kept;
use App\School\SchoolVersion;
use Illuminate\Cache\ArrayStore;
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
        array_filter(
            Route::getRoutes()->getRoutes(),
            static fn ($route): bool => preg_grep('/^'.preg_quote(Kept::class, '/').'(:|$)/', $route->gatherMiddleware()) !== [],
        ),
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
    // The first reading after marks came is noted, and so makes anew what was kept before.
    $ask();
    $before = $ask();
    $kept = (fn () => $this->storage)->bindTo(Cache::store('array')->getStore(), ArrayStore::class)();
    expect(count($kept))->toBeGreaterThan(5);
    $changed = 0;
    foreach (Routes::withBodies($ids) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $ids);
        if ($method === 'GET') {
            continue;
        }
        DB::beginTransaction();
        SchoolVersion::within(DB::transactionLevel());
        // What was kept before: the same each time, since what is written is taken back.
        (function () use ($kept): void {
            $this->storage = $kept;
        })->bindTo(Cache::store('array')->getStore(), ArrayStore::class)();
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

it('keeps the pages of a whole school until something is found in the background, a lesson begins or the day turns', function (string $page): void {
    $world = $this->world('Ours');
    $this->actingAs($world['owner']);
    $this->postJson('api/school/records')->assertOk()->assertJson(['stale' => 0]);
    $tables = function () use ($page): array {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson("api/school/{$page}")->assertOk();

        return array_merge(...array_map(
            static fn (array $query): array => preg_match_all('/from `(\w+)`/', $query['query'], $found) > 0 ? $found[1] : [], DB::getQueryLog(),
        ));
    };
    // What is kept is found by the version and a few sums, without a mark or a learner being read.
    $isKept = static fn (array $read): bool => array_intersect($read, ['marks', 'learners', 'told_lessons']) === [];
    $tables();
    expect($isKept($tables()))->toBeTrue()->and($isKept($tables()))->toBeTrue();
    // Something was found of a learner: nobody wrote anything of the school.
    $version = SchoolVersion::of($world['owner']->school_id);
    DB::table('skill_answers')->where('school_id', $world['owner']->school_id)->update(['stands_for' => 'something else']);
    expect($isKept($tables()))->toBeFalse()->and($isKept($tables()))->toBeTrue()->and(SchoolVersion::of($world['owner']->school_id))->toBe($version);
    // While records are brought up to date, and a while after some failed, every answer is made.
    config(['queue.default' => 'database']);
    $this->postJson('api/school/records')->assertOk()->assertJson(['progress' => ['done' => 0, 'of' => 1]]);
    expect($isKept($tables()))->toBeFalse()->and($isKept($tables()))->toBeFalse();
    DB::table('job_batches')->update(['cancelled_at' => now()->getTimestamp(), 'finished_at' => now()->getTimestamp()]);
    $tables();
    expect($isKept($tables()))->toBeTrue();
    // The next lesson has begun: it is to come no more.
    $lesson = App\Models\Lesson::query()->where('learner_id', $world['ids']['learner'])->firstOrFail();
    DB::table('lessons')->insert([...$lesson->getAttributes(), 'id' => (string) Str::uuid7(), 'starts_at' => now()->addMinutes(2), 'state' => 'booked']);
    $tables();
    expect($isKept($tables()))->toBeTrue();
    $this->travel(3)->minutes();
    expect($isKept($tables()))->toBeFalse()->and($isKept($tables()))->toBeTrue();
    $this->travel(1)->days();
    expect($isKept($tables()))->toBeFalse();
})->with(['learners', 'teaching', 'foretelling']);

it('counts down what is left by the jobs while they are at work, and by what is old when none is', function (): void {
    $world = $this->world('Ours');
    $this->actingAs($world['owner']);
    config(['queue.default' => 'database']);
    $learner = App\Models\Learner::query()->findOrFail($world['ids']['learner'])->getAttributes();
    DB::table('learners')->insert(array_map(static fn (int $i): array => [...$learner, 'id' => (string) Str::uuid7(), 'name' => "Learner {$i}"], range(1, 24)));
    $all = $this->getJson('api/school/learners')->json('stale');
    expect($all)->toBeGreaterThanOrEqual(25);
    $state = fn (): array => $this->postJson('api/school/records')->assertOk()->json();
    $jobs = (int) ceil($all / 10);
    expect($state())->toMatchArray(['stale' => $all, 'progress' => ['done' => 0, 'of' => $jobs]]);
    Illuminate\Support\Facades\Artisan::call('queue:work', ['--once' => true, '--memory' => 1024]);
    expect($state())->toMatchArray(['stale' => $all - 10, 'progress' => ['done' => 1, 'of' => $jobs], 'failed' => 0]);
    Illuminate\Support\Facades\Artisan::call('queue:work', ['--stop-when-empty' => true, '--sleep' => 0, '--memory' => 1024]);
    expect($state())->toMatchArray(['stale' => 0, 'progress' => null, 'failed' => 0]);
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

it('keeps answers packed, word for word for who takes them so and who does not, and makes anew what is too long even so', function (): void {
    $school = $this->user($this->school('Ours'), 'owner')->school_id;
    mt_srand(22);
    $noise = implode(' ', array_map(static fn (): string => dechex(mt_rand()), range(1, 200_000)));
    $asking = static fn (?string $takes): Illuminate\Http\Request => Illuminate\Http\Request::create(
        '/', server: $takes === null ? [] : ['HTTP_ACCEPT_ENCODING' => $takes],
    );
    foreach (['' => true, 'Short.' => true, str_repeat('BEGIN:VEVENT – Möwe’s lesson ', 60_000) => true, $noise => false] as $answer => $isKept) {
        $kept = App\School\KeptAnswers::of('an answer', $school);
        Cache::store('array')->flush();
        $kept?->put((string) $answer);
        foreach (['gzip, deflate, br' => true, '*' => true, 'br, gzip;q=0' => false, 'identity' => false, '' => false] as $takes => $isPacked) {
            $response = $kept?->response($asking($takes), ['Content-Type' => 'application/json']);
            if (! $isKept) {
                expect($response)->toBeNull();

                continue;
            }
            $isPacked = $isPacked && strlen((string) $answer) >= 512;
            expect($response?->headers->get('Content-Encoding'))->toBe($isPacked ? 'gzip' : null)
                ->and($response?->headers->get('Vary'))->toBe('Accept-Encoding')->and($response?->headers->get('Content-Type'))->toBe('application/json')
                ->and($isPacked ? gzdecode((string) $response?->getContent()) : $response?->getContent())->toBe((string) $answer);
        }
    }
    expect(App\School\KeptAnswers::of('another answer', $school)?->response($asking('gzip'), []))->toBeNull();
});

it('counts what is found apart from what is written, each school for itself', function (): void {
    $worlds = [$this->world('Ours'), $this->world('Theirs')];
    [$ours, $theirs] = array_map(static fn (array $world): string => $world['owner']->school_id, $worlds);
    $this->actingAs($worlds[0]['owner']);
    $this->postJson('api/school/records')->assertOk();
    $this->getJson('api/learners/'.$worlds[0]['ids']['learner'].'/skill')->assertOk();
    [$found, $elsewhere] = [SchoolVersion::found($ours), SchoolVersion::found($theirs)];
    expect((int) $found)->toBeGreaterThan(0);
    // What is kept already is not found again.
    $this->getJson('api/learners/'.$worlds[0]['ids']['learner'].'/skill')->assertOk();
    expect(SchoolVersion::found($ours))->toBe($found);
    $this->travel(1)->days();
    $this->getJson('api/learners/'.$worlds[0]['ids']['learner'].'/skill')->assertOk();
    expect((int) SchoolVersion::found($ours))->toBeGreaterThan((int) $found)->and(SchoolVersion::found($theirs))->toBe($elsewhere);
    // Erased with its learner: what was found is gone, and that is seen.
    [$written, $found] = [SchoolVersion::of($ours), SchoolVersion::found($ours)];
    DB::table('skill_answers')->where('school_id', $ours)->delete();
    expect((int) SchoolVersion::found($ours))->toBe((int) $found + 1)->and(SchoolVersion::of($ours))->toBe($written);
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
        'insert into `told_lessons` (`id`) values (?) on duplicate key update `body` = 1',
    ] as $sql) {
        expect(SchoolVersion::movedBy($sql))->toBe('version', $sql);
    }
    foreach ([
        'select * from `marks`', 'insert into `sessions` values (1)', 'update `cache` set `value` = ?', 'delete from `jobs` where `id` = ?',
        'insert into school_versions values (1)', 'set names utf8', 'with x as (select 1) select * from x',
    ] as $sql) {
        expect(SchoolVersion::movedBy($sql))->toBeNull($sql);
    }
    foreach ([
        'insert into `skill_answers` (`id`) values (?) on duplicate key update `body` = 1', 'update `skill_answers` set `outlook` = ?',
        'delete from skill_answers',
    ] as $sql) {
        expect(SchoolVersion::movedBy($sql))->toBe('found', $sql);
    }
    // Of two tables at once nothing is taken for less than it is.
    expect(SchoolVersion::movedBy('delete `skill_answers` from `skill_answers` inner join `learners` on 1'))->toBe('version');
});
