<?php

use App\Contract\Document;
use App\Http\Controllers\AssessmentController;
use App\Http\Controllers\BusyTimeController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CentreController;
use App\Http\Controllers\ChangeController;
use App\Http\Controllers\CircuitController;
use App\Http\Controllers\ComputeController;
use App\Http\Controllers\DiaryController;
use App\Http\Controllers\DrawingController;
use App\Http\Controllers\FirstRunController;
use App\Http\Controllers\HoursController;
use App\Http\Controllers\LateController;
use App\Http\Controllers\LearnerController;
use App\Http\Controllers\LegController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\LetterController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PlaceController;
use App\Http\Controllers\PlannedItemController;
use App\Http\Controllers\PrivacyController;
use App\Http\Controllers\PromiseController;
use App\Http\Controllers\ProposalController;
use App\Http\Controllers\RemedyController;
use App\Http\Controllers\RoutineController;
use App\Http\Controllers\RulesController;
use App\Http\Controllers\SchoolController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SessionsController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\SkillController;
use App\Http\Controllers\SyncController;
use App\Http\Controllers\TextController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\VehicleController;
use App\Http\Controllers\WaitingController;
use App\Http\Controllers\WayInController;
use App\Http\Controllers\WorkingHoursController;
use App\Http\Middleware\Kept;
use App\Http\Middleware\NamesItsRight;
use App\Http\Middleware\SamePerson;
use App\Http\Middleware\StillWelcome;
use App\Rights\Right;
use Illuminate\Routing\RouteRegistrar;
use Illuminate\Support\Facades\Route;

// Whether all that is needed is there; asked by whoever looks after the servers, without a session.
Route::get('up', UpController::class)->withoutMiddleware('web');

// One's diary for one's own calendar, which has no session: the secret is in the address.
Route::get('calendar/{secret}.ics', [CalendarController::class, 'feed'])->where('secret', '[A-Za-z0-9]{48}')->withoutMiddleware('web')
    ->middleware('throttle:calendar');

Route::prefix('api')->group(function (): void {
    Route::get('openapi.json', fn () => response()->file(Document::path(), ['Content-Type' => 'application/json']));
    Route::get('session', [SessionController::class, 'show']);
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('forgotten-password', [WayInController::class, 'ask'])->middleware('throttle:sign-in');
    Route::post('way-in', [WayInController::class, 'take'])->middleware('throttle:sign-in');
    Route::post('first-run', FirstRunController::class)->middleware('throttle:sign-in');

    // Each address names the right it takes (App\Rights\Right); one that names none is open to nobody.
    Route::middleware(['auth', StillWelcome::class, SamePerson::class, NamesItsRight::class])->group(function (): void {
        $may = static fn (Right $right): RouteRegistrar => Route::middleware("can:{$right->value}");

        $may(Right::BeOneself)->group(function (): void {
            Route::delete('session', [SessionController::class, 'destroy']);
            Route::get('sessions', [SessionsController::class, 'index']);
            Route::delete('sessions', [SessionsController::class, 'destroyAll']);
            Route::delete('sessions/{session}', [SessionsController::class, 'destroy']);
            Route::put('password', [SessionController::class, 'updatePassword'])->middleware('throttle:sign-in');
            // Answers with nothing: what the benchmark measures every other route against.
            Route::get('ping', fn () => response()->noContent());
        });

        $may(Right::Calculate)->post('compute/{tool}', ComputeController::class);

        $may(Right::ReadRules)->group(function (): void {
            Route::get('routines', RoutineController::class);
            Route::get('rules', [RulesController::class, 'index']);
            Route::get('vehicle-kinds', [VehicleController::class, 'kinds']);
        });
        $may(Right::ChooseOwnPractice)->put('rules/mine', [RulesController::class, 'mine']);

        $may(Right::ReadLessons)->group(function (): void {
            Route::get('today', TodayController::class);
            Route::get('week', [DiaryController::class, 'week'])->middleware(Kept::class);
            Route::get('fit', [DiaryController::class, 'fit']);
            Route::get('free', [DiaryController::class, 'free']);
            Route::get('waiting', [WaitingController::class, 'index']);
            Route::get('lessons/{lesson}/offers', [WaitingController::class, 'offers']);
            Route::get('lessons/{lesson}/calendar', [CalendarController::class, 'lesson']);
            Route::get('texts', [TextController::class, 'index']);
            Route::get('late', [LateController::class, 'show']);
            Route::get('series', [DiaryController::class, 'series']);
            Route::get('lessons/{lesson}', [LessonController::class, 'show'])->middleware(Kept::class);
            Route::get('lessons/{lesson}/changed', [SkillController::class, 'changed'])->middleware(Kept::class);
            Route::get('lessons/{lesson}/proposal', [ProposalController::class, 'show'])->middleware(Kept::class);
            Route::get('places/{place}/lessons', [DrawingController::class, 'lessons']);
        });
        $may(Right::WriteLessons)->group(function (): void {
            Route::put('learners/{learner}/waiting', [WaitingController::class, 'update']);
            Route::delete('learners/{learner}/waiting', [WaitingController::class, 'destroy']);
            Route::post('learners/{learner}/waiting/restore', [WaitingController::class, 'restore']);
            Route::patch('texts/{text}', [TextController::class, 'update']);
            Route::post('late', [LateController::class, 'write']);
            Route::get('working-hours', [WorkingHoursController::class, 'show']);
            Route::put('working-hours', [WorkingHoursController::class, 'update']);
            Route::get('calendar', [CalendarController::class, 'show']);
            Route::post('calendar', [CalendarController::class, 'store']);
            Route::put('calendar', [CalendarController::class, 'update']);
            Route::delete('calendar', [CalendarController::class, 'destroy']);
            Route::post('busy-times/import', [CalendarController::class, 'import']);
            Route::post('busy-times', [BusyTimeController::class, 'store']);
            Route::put('busy-times/{busyTime}', [BusyTimeController::class, 'update']);
            Route::delete('busy-times/{busyTime}', [BusyTimeController::class, 'destroy']);
            Route::post('busy-times/{busyTime}/restore', [BusyTimeController::class, 'restore'])->whereUuid('busyTime');
            Route::post('lessons', [LessonController::class, 'store']);
            Route::patch('lessons/{lesson}', [LessonController::class, 'update']);
            Route::post('lessons/{lesson}/series', [DiaryController::class, 'bookSeries']);
            Route::post('lessons/{lesson}/items', [PlannedItemController::class, 'store']);
            Route::put('lessons/{lesson}/order', [PlannedItemController::class, 'order']);
            Route::patch('items/{item}', [PlannedItemController::class, 'update']);
            Route::delete('items/{item}', [PlannedItemController::class, 'destroy']);
            Route::post('items/{item}/restore', [PlannedItemController::class, 'restore'])->whereUuid('item');
            Route::post('lessons/{lesson}/remedies', [RemedyController::class, 'store']);
            Route::delete('remedies/{remedy}', [RemedyController::class, 'destroy']);
            Route::post('remedies/{remedy}/restore', [RemedyController::class, 'restore'])->whereUuid('remedy');
            Route::get('remedies/helped/{step}', [RemedyController::class, 'helped']);
            Route::post('lessons/{lesson}/promises', [PromiseController::class, 'store']);
            Route::patch('promises/{promise}', [PromiseController::class, 'update']);
            Route::delete('promises/{promise}', [PromiseController::class, 'destroy']);
            Route::post('promises/{promise}/restore', [PromiseController::class, 'restore'])->whereUuid('promise');
        });
        $may(Right::Mark)->post('sync', SyncController::class);

        $may(Right::ReadLearners)->group(function (): void {
            Route::get('learners', [LearnerController::class, 'index']);
            Route::get('learners/{learner}', [LearnerController::class, 'show'])->middleware(Kept::class);
            Route::get('learners/{learner}/hours', [HoursController::class, 'show'])->middleware(Kept::class);
            Route::get('learners/{learner}/hours/file', [HoursController::class, 'file']);
            Route::get('learners/{learner}/needs', [LearnerController::class, 'needs']);
            Route::get('learners/{learner}/skill', [SkillController::class, 'show'])->middleware(Kept::class);
            Route::get('learners/{learner}/foretelling', [SkillController::class, 'foretelling'])->middleware(Kept::class);
            Route::get('learners/{learner}/ready', [AssessmentController::class, 'ready'])->middleware(Kept::class);
            Route::get('learners/{learner}/assessments', [AssessmentController::class, 'index']);
            Route::get('learners/{learner}/habits', [SkillController::class, 'habits'])->middleware(Kept::class);
            Route::get('learners/{learner}/marks', [SkillController::class, 'marks']);
            Route::get('learners/{learner}/skill/{routine}/{step}', [SkillController::class, 'cell'])->middleware(Kept::class);
            Route::get('archived', [ChangeController::class, 'archived']);
        });
        $may(Right::WriteLearners)->group(function (): void {
            Route::post('learners', [LearnerController::class, 'store']);
            Route::put('learners/{learner}', [LearnerController::class, 'update']);
            Route::delete('learners/{learner}', [LearnerController::class, 'destroy']);
            Route::post('learners/{learner}/restore', [LearnerController::class, 'restore'])->whereUuid('learner');
            Route::post('learners/{learner}/assessments', [AssessmentController::class, 'store']);
            Route::post('lessons/{lesson}/mock-test', [AssessmentController::class, 'drive']);
            Route::put('assessments/{assessment}', [AssessmentController::class, 'update']);
            Route::delete('assessments/{assessment}', [AssessmentController::class, 'destroy']);
            Route::post('assessments/{assessment}/restore', [AssessmentController::class, 'restore'])->whereUuid('assessment');
            Route::post('learners/{learner}/accompanied', [HoursController::class, 'store']);
            Route::put('accompanied/{accompaniedDrive}', [HoursController::class, 'update']);
            Route::delete('accompanied/{accompaniedDrive}', [HoursController::class, 'destroy']);
            Route::post('accompanied/{accompaniedDrive}/restore', [HoursController::class, 'restore'])->whereUuid('accompaniedDrive');
            Route::put('learners/{learner}/rules', [RulesController::class, 'learner']);
        });
        $may(Right::Overrule)->group(function (): void {
            Route::post('learners/{learner}/overrulings', [SkillController::class, 'overrule']);
            Route::patch('overrulings/{overruling}', [SkillController::class, 'withdraw']);
        });
        $may(Right::HandOutData)->get('learners/{learner}/data', [PrivacyController::class, 'data']);

        $may(Right::ReadPlaces)->group(function (): void {
            Route::get('places', [PlaceController::class, 'index']);
            Route::get('sites', [SiteController::class, 'index']);
            Route::get('sites/geojson', [SiteController::class, 'out']);
            Route::get('sites/near', [SiteController::class, 'near']);
            Route::get('sites/{site}', [SiteController::class, 'show']);
            Route::get('sites/{site}/pictures', [PictureController::class, 'index']);
            Route::get('pictures/{picture}', [PictureController::class, 'show']);
            Route::get('circuits', [CircuitController::class, 'index']);
            Route::post('circuits/plans', [CircuitController::class, 'plans']);
            Route::post('circuits/gpx', [CircuitController::class, 'gpx']);
            Route::get('legs', [LegController::class, 'index']);
            Route::get('centres', [CentreController::class, 'index']);
        });
        $may(Right::WritePlaces)->group(function (): void {
            Route::post('sites', [SiteController::class, 'store']);
            Route::post('sites/import', [SiteController::class, 'in']);
            Route::put('sites/{site}', [SiteController::class, 'update']);
            Route::delete('sites/{site}', [SiteController::class, 'destroy']);
            Route::post('sites/{site}/restore', [SiteController::class, 'restore'])->whereUuid('site');
            Route::post('sites/{site}/merge', [SiteController::class, 'merge']);
            Route::post('sites/{site}/ways', [SiteController::class, 'way']);
            Route::post('sites/{site}/pictures', [PictureController::class, 'store']);
            Route::put('pictures/{picture}', [PictureController::class, 'update']);
            Route::delete('pictures/{picture}', [PictureController::class, 'destroy']);
            Route::post('pictures/{picture}/restore', [PictureController::class, 'restore'])->whereUuid('picture');
            Route::post('circuits', [CircuitController::class, 'store']);
            Route::put('circuits/{circuit}', [CircuitController::class, 'update']);
            Route::delete('circuits/{circuit}', [CircuitController::class, 'destroy']);
            Route::post('circuits/{circuit}/restore', [CircuitController::class, 'restore'])->whereUuid('circuit');
            Route::post('legs/track', [LegController::class, 'track']);
            Route::delete('legs/{leg}', [LegController::class, 'destroy']);
            Route::post('legs/{leg}/restore', [LegController::class, 'restore'])->whereUuid('leg');
            Route::post('centres', [CentreController::class, 'store']);
            Route::put('centres/{centre}', [CentreController::class, 'update']);
            Route::delete('centres/{centre}', [CentreController::class, 'destroy']);
            Route::post('centres/{centre}/restore', [CentreController::class, 'restore'])->whereUuid('centre');
            Route::post('places', [PlaceController::class, 'store']);
            Route::put('places/{place}', [PlaceController::class, 'update']);
            Route::delete('places/{place}', [PlaceController::class, 'destroy']);
            Route::post('places/{place}/restore', [PlaceController::class, 'restore'])->whereUuid('place');
            Route::post('places/{place}/drawings', [DrawingController::class, 'store']);
            Route::delete('drawings/{drawing}', [DrawingController::class, 'destroy']);
            Route::post('drawings/{drawing}/restore', [DrawingController::class, 'restore'])->whereUuid('drawing');
        });
        $may(Right::ReadCars)->get('vehicles', [VehicleController::class, 'index']);
        $may(Right::WriteCars)->group(function (): void {
            Route::post('vehicles', [VehicleController::class, 'store']);
            Route::put('vehicles/{vehicle}', [VehicleController::class, 'update']);
            Route::delete('vehicles/{vehicle}', [VehicleController::class, 'destroy']);
            Route::post('vehicles/{vehicle}/restore', [VehicleController::class, 'restore'])->whereUuid('vehicle');
        });

        $found = Kept::class.':'.Kept::FOUND;
        $may(Right::ReadSchool)->group(function () use ($found): void {
            Route::get('sites/{site}/past', [SiteController::class, 'past']);
            Route::get('school/learners', [SchoolController::class, 'learners'])->middleware($found);
            Route::get('school/remedies', [SchoolController::class, 'remedies'])->middleware(Kept::class);
            Route::get('school/tests', [SchoolController::class, 'tests']);
            Route::get('school/teaching', [SchoolController::class, 'teaching'])->middleware($found);
            Route::post('school/records', [SchoolController::class, 'bringUpToDate']);
        });
        $may(Right::RunSchool)->group(function () use ($found): void {
            Route::get('school/foretelling', [SchoolController::class, 'foretelling'])->middleware($found);
            Route::get('school/texts', [TextController::class, 'settings']);
            Route::put('school/texts', [TextController::class, 'change']);
            Route::put('school/position', [SchoolController::class, 'position']);
            Route::put('school/reading', [SchoolController::class, 'reading']);
            Route::put('rules/school', [RulesController::class, 'school']);
            Route::get('people', [PeopleController::class, 'index']);
            Route::post('people', [PeopleController::class, 'store']);
            Route::put('people/{person}', [PeopleController::class, 'update']);
            Route::post('people/{person}/letter', [PeopleController::class, 'letter']);
            Route::post('people/{person}/suspension', [PeopleController::class, 'suspend']);
            Route::delete('people/{person}/suspension', [PeopleController::class, 'letIn']);
            Route::get('people/{person}/lessons-ahead', [PeopleController::class, 'lessonsAhead']);
            Route::post('people/{person}/hand-over', [PeopleController::class, 'handOver']);
            Route::get('letters', LetterController::class);
            Route::get('changes', [ChangeController::class, 'index']);
            Route::get('retention', [PrivacyController::class, 'retention']);
            Route::put('retention', [PrivacyController::class, 'setRetention']);
            Route::put('learners/{learner}/keep', [PrivacyController::class, 'keep']);
            Route::post('learners/{learner}/erasure', [PrivacyController::class, 'erase']);
        });
    });

    Route::any('{any}', fn () => abort(404, 'There is nothing at this address.'))->where('any', '.*');
});

// Everything else is the interface, which finds its own page by the address. It is the same for everybody and has no session: fetched to be kept
// on a device while somebody signs in, it would give the browser its old session back, and they would not be in.
Route::view('{any?}', 'app')->where('any', '.*')->name('login')->withoutMiddleware('web');
