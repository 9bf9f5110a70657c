<?php

use App\Http\Middleware\NamesItsRight;
use App\Models\School;
use App\Models\User;
use App\Rights\Right;
use App\Rights\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;
use Tests\Routes;

/* Who may do what: the table of rights, held against every address of the API for every role. */

it('gives every address one right, and each right at least one address', function (): void {
    $rights = [];
    foreach (Route::getRoutes() as $route) {
        if (in_array('auth', $route->gatherMiddleware(), true)) {
            $rights[] = NamesItsRight::rightOf($route) ?? expect(implode(' ', [...$route->methods(), $route->uri()]))->toBe('an address with a right');
        }
    }
    expect(count($rights))->toBe(count(Routes::guarded()))
        ->and(
            array_values(array_unique(array_map(fn (Right $right): string => $right->value, $rights))),
        )->toEqualCanonicalizing(array_column(Right::cases(), 'value'));
});

it('refuses each role what the table does not give it, and lets it as far as the row where it does', function (Role $role): void {
    $world = $this->world('Ours');
    // Learners and who accompanies them have no accounts yet: such a one is only made up here.
    $user = $this->user(School::query()->findOrFail($world['owner']->school_id));
    $user->role = $role->value;
    $refused = $given = 0;
    foreach (Routes::withBodies($world['ids']) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $world['ids']);
        $right = NamesItsRight::rightOf(
            collect(Route::getRoutes()->getRoutes())->first(
                fn ($one) => in_array($method, $one->methods(), true) && 'api/'.explode(' ', $route)[1] === $one->uri(),
            ),
        );
        DB::beginTransaction();
        $before = DB::table('changes')->count();
        $status = $this->actingAs($user)->json($method, $uri, $body)->status();
        if (in_array($role, $right->roles(), true)) {
            $given++;
        } else {
            expect($status)->toBe(403, "{$route} as {$role->value}")->and(DB::table('changes')->count())->toBe($before);
            $refused++;
        }
        DB::rollBack();
    }
    expect([$given, $refused])->toBe(match ($role) {
        Role::Owner => [$given, 0],
        Role::Instructor => [
            $given,
            count(
                array_filter(
                    array_keys(Routes::withBodies($world['ids'])),
                    fn (string $route): bool => preg_match(
                        '#^(PUT school/(reading|position)|\w+ school/(texts|foretelling)|PUT rules/school|'
                            .'\w+ people|GET letters|GET changes|\w+ retention|PUT learners/\{learner\}/keep|POST learners/\{learner\}/erasure)#',
                        $route,
                    ) === 1,
                ),
            ),
        ],
        default => [10, $given + $refused - 10],
    });
})->with(Role::cases());

it('closes what names no right, whoever asks', function (): void {
    $owner = $this->user($this->school(), 'owner');
    Route::middleware(['web', 'auth', NamesItsRight::class])->get('forgotten', fn () => 'open');
    Route::middleware(['web', 'auth', NamesItsRight::class, 'can:no-such-right'])->get('mistyped', fn () => 'open');
    // What answers everything else stands before them.
    foreach (['forgotten', 'mistyped'] as $address) {
        $route = collect(Route::getRoutes()->getRoutes())->first(fn ($one) => $one->uri() === $address);
        $request = Illuminate\Http\Request::create("/{$address}");
        $request->setRouteResolver(fn () => $route);
        expect(fn () => (new NamesItsRight)->handle($request, fn () => response('open')))->toThrow(Symfony\Component\HttpKernel\Exception\HttpException::class);
    }
    expect($owner->exists)->toBeTrue();
});

it('has a policy for whatever is written row by row, and denies what a policy does not name', function (): void {
    $owner = $this->user($this->school(), 'owner');
    $lesson = $this->lesson($owner)['lesson'];
    $this->actingAs($owner);
    expect(Gate::forUser($owner)->allows('update', $lesson))->toBeTrue()->and(Gate::forUser($owner)->allows('delete', $lesson))->toBeFalse()
        ->and(Gate::forUser($owner)->allows('view', $owner))->toBeFalse();
});

it('lets a school close its instructors’ lessons to each other', function (): void {
    $school = $this->school();
    [$owner, $gives, $colleague] = [$this->user($school, 'owner'), $this->user($school), $this->user($school)];
    $lesson = $this->lesson($gives)['lesson'];
    $lesson->update(['aim' => 'Only between us']);
    // The school is read anew with each request, as it is where requests come one by one.
    $ask = fn (User $who, string $uri) => $this->actingAs($who->unsetRelation('school'))->getJson("api/{$uri}");
    $ask($colleague, "lessons/{$lesson->id}")->assertOk();
    expect($ask($colleague, "learners/{$lesson->learner_id}")->json('lessons.0.aim'))->toBe('Only between us');
    $this->actingAs($colleague)->putJson('api/school/reading', ['colleagues_read' => false])->assertForbidden();
    $this->actingAs($owner)->putJson('api/school/reading', ['colleagues_read' => 'perhaps'])->assertUnprocessable();
    $this->putJson('api/school/reading', ['colleagues_read' => false])->assertOk();
    foreach (["lessons/{$lesson->id}", "lessons/{$lesson->id}/changed", "learners/{$lesson->learner_id}/data"] as $uri) {
        $ask($colleague, $uri)->assertForbidden();
        $ask($gives, $uri)->assertOk();
        $ask($owner, $uri)->assertOk();
    }
    // That there was a lesson is no secret; what was said of it is.
    $record = $ask($colleague, "learners/{$lesson->learner_id}")->assertOk();
    expect($record->json('lessons.0.id'))->toBe($lesson->id)->and($record->getContent())->not->toContain('Only between us');
    expect($ask($owner, 'session')->json('school.colleagues_read'))->toBeFalse();
});
