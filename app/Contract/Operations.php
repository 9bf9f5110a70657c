<?php

namespace App\Contract;

use App\Http\Controllers\VehicleController;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Toolbox;

/** Every address of the API, by method and path, in the order of routes/web.php. */
final class Operations
{
    /** @return array<string, Operation> */
    public static function all(): array
    {
        return [...self::account(), ...self::tools(), ...self::rules(), ...self::lessons(), ...self::learners(), ...self::places(), ...self::school()];
    }

    /** @return array<string, Operation> */
    private static function account(): array
    {
        return [
            'GET session' => Operation::reads('Who is signed in', 'Session'),
            'POST session' => Operation::writes('Signs in', Taken::signIn(), 'SignedIn'),
            'POST forgotten-password' => Operation::writes('Asks for a letter with a way in', Taken::forgottenPassword(), 'Said', 202),
            'POST way-in' => Operation::writes('Chooses a password by a letter, and signs in', Taken::wayIn(), 'SignedIn'),
            'POST first-run' => Operation::writes('Sets up the first school and its owner', Taken::firstRun(), 'SignedIn', 201),
            'GET openapi.json' => Operation::reads('This document', ['type' => 'object']),
            'DELETE session' => Operation::writes('Signs out', [], null),
            'GET sessions' => Operation::reads('Where one is signed in', Shapes::listOf('Device')),
            'DELETE sessions' => Operation::writes('Signs out everywhere', [], null),
            'DELETE sessions/{session}' => Operation::writes('Signs out on one device', [], null),
            'PUT password' => Operation::writes('Changes the own password', Taken::password(), null),
            'GET ping' => Operation::writes('Answers with nothing: others are measured against it', [], null),
        ];
    }

    /** @return array<string, Operation> */
    private static function tools(): array
    {
        $computes = static function (Tool $tool): Operation {
            $name = ToolShapes::name($tool);
            $swept = $tool->input()->numericProperties() === [] ? [] : [Shapes::ref("{$name}Sweep"), Shapes::ref("{$name}Folded")];

            return Operation::computes(
                $tool->about(), Shapes::ref("{$name}Asked"),
                $swept === [] ? Shapes::ref("{$name}Answer") : ['oneOf' => [Shapes::ref("{$name}Answer"), ...$swept]],
            );
        };

        return array_combine(array_map(static fn (string $name): string => "POST compute/{$name}", Toolbox::names()), array_map($computes, Toolbox::all()));
    }

    /** @return array<string, Operation> */
    private static function rules(): array
    {
        $practice = ['practice' => Shapes::ref('Practice')];

        return [
            'GET routines' => Operation::reads('The catalogue: every card in the words of a pack', Shapes::listOf('RoutineCard'), Taken::routines()),
            'GET rules' => Operation::reads('Packs, questions of practice, and what is chosen', 'RulesOnOffer'),
            'PUT rules/mine' => Operation::writes('Chooses the own pack and practice', Taken::chosen(), 'RulesOnOffer', inside: $practice),
            'PUT rules/school' => Operation::writes('Chooses the school’s', Taken::chosen(required: true), 'RulesOnOffer', inside: $practice),
            'PUT learners/{learner}/rules' => Operation::writes('Chooses a learner’s', Taken::chosen(), 'ChosenRules', inside: $practice),
            'GET vehicle-kinds' => Operation::reads('Kinds of vehicle that fill the gaps of one that is like them', Shapes::listOf('VehicleKind')),
        ];
    }

    /** @return array<string, Operation> */
    private static function lessons(): array
    {
        return [
            'GET today' => Operation::reads('The day of who is signed in', 'Today', Taken::day()),
            'GET week' => Operation::reads('Some days of an instructor’s diary', 'Week', TakenOfDiary::week()),
            'GET fit' => Operation::reads('What a time would mean for a lesson, before it is written', 'Fit', TakenOfDiary::fit()),
            'GET series' => Operation::reads(
                'What it would mean to have a lesson again every week, or every few', Shapes::listOf('SeriesTime'), TakenOfDiary::repeated(),
            ),
            'GET free' => Operation::reads('Times that are free for a lesson', Shapes::listOf('FreeTime'), TakenOfDiary::free()),
            'GET waiting' => Operation::reads('The waiting list of the school, who waits longest first', Shapes::listOf('WaitingLearner')),
            'PUT learners/{learner}/waiting' => Operation::writes(
                'Puts a learner on the waiting list, or says anew when they can', TakenOfDiary::waiting(), 'WaitingLearner',
            ),
            'DELETE learners/{learner}/waiting' => Operation::writes('Takes a learner off the waiting list', [], null),
            'POST learners/{learner}/waiting/restore' => Operation::writes('Puts them back', [], 'WaitingLearner'),
            'GET lessons/{lesson}/offers' => Operation::reads(
                'To whom of the waiting list the hour of a lesson that is off is offered, best first', Shapes::listOf('Offered'),
            ),
            'GET texts' => Operation::reads('What learners of one’s own lessons are to be told, not yet passed on', Shapes::listOf('LessonText')),
            'PATCH texts/{text}' => Operation::writes('Says whether a text was passed on', TakenOfDiary::passedOn(), 'LessonText'),
            'GET working-hours' => Operation::reads('When one works, and how much of it one gives lessons at most', 'WorkingHours'),
            'PUT working-hours' => Operation::writes('Says it anew', TakenOfDiary::workingHours(), 'WorkingHours'),
            'GET calendar' => Operation::reads('Whether one’s own calendar reads one’s diary, and whose names stand there', 'CalendarState'),
            'POST calendar' => Operation::writes(
                'Makes a secret address for one’s own calendar; the one of before stops', TakenOfDiary::calendar(), 'CalendarAddress', 201,
            ),
            'PUT calendar' => Operation::writes('Says whose names stand there', TakenOfDiary::calendar(), 'CalendarState'),
            'DELETE calendar' => Operation::writes('Stops the address', [], null),
            'GET lessons/{lesson}/calendar' => Operation::reads('A lesson as iCalendar', 'CalendarFile'),
            'POST busy-times/import' => Operation::writes(
                'Holds the busy times of a calendar file, or says what it would hold', TakenOfDiary::calendarFile(), 'BusyImported',
            ),
            'GET late' => Operation::reads('What becomes of the rest of the day where it runs late', 'LateDay', TakenOfDiary::late()),
            'POST late' => Operation::writes(
                'Moves and cuts the lessons that were agreed to, and cancels those that cannot be kept', TakenOfDiary::lateAgreed(), null,
            ),
            'POST busy-times' => Operation::writes(
                'Holds time that no lesson takes: somebody is busy, a learner has their test, a car is away', TakenOfDiary::busyTime(), 'BusyTime', 201,
            ),
            'PUT busy-times/{busyTime}' => Operation::writes('Changes it', TakenOfDiary::busyTime(), 'BusyTime'),
            'DELETE busy-times/{busyTime}' => Operation::writes('Gives the time back', [], null),
            'POST busy-times/{busyTime}/restore' => Operation::writes('Takes it again', [], 'BusyTime'),
            'POST lessons' => Operation::writes('Books a lesson', TakenOfLessons::lesson(), 'LessonLine', 201),
            'GET lessons/{lesson}' => Operation::reads('A lesson as one page', 'Lesson'),
            'PATCH lessons/{lesson}' => Operation::writes('Writes on a lesson', TakenOfLessons::lessonChanges(), 'Lesson'),
            'POST lessons/{lesson}/series' => Operation::writes(
                'Books a lesson again every week, or every few; what is taken is left out', TakenOfDiary::series(), 'SeriesBooked', 201,
            ),
            'GET lessons/{lesson}/changed' => Operation::reads('What a lesson changed, most first', Shapes::listOf('Changed')),
            'GET lessons/{lesson}/proposal' => Operation::reads(
                'What a lesson could be for, and what it could drive for that', 'ProposedLesson', TakenOfLessons::proposal(),
            ),
            'POST lessons/{lesson}/items' => Operation::writes('Puts a place on the plan', TakenOfLessons::item(), 'LessonItem', 201),
            'PUT lessons/{lesson}/order' => Operation::writes('Puts the plan in order', TakenOfLessons::order(), null),
            'PATCH items/{item}' => Operation::writes('Gives a place its minutes', TakenOfLessons::itemMinutes(), 'LessonItem'),
            'DELETE items/{item}' => Operation::writes('Takes a place off the plan', [], null),
            'POST items/{item}/restore' => Operation::writes('Puts it back', [], 'LessonItem'),
            'POST lessons/{lesson}/remedies' => Operation::writes('Notes that a remedy or drill was given', TakenOfLessons::remedy(), 'Remedy', 201),
            'DELETE remedies/{remedy}' => Operation::writes('It was not given after all', [], null),
            'POST remedies/{remedy}/restore' => Operation::writes('Puts it back', [], 'Remedy'),
            'GET remedies/helped/{step}' => Operation::reads(
                'Whether what helps a step and kind of fault did, over the school’s learners', 'Helped', TakenOfLessons::helped(),
            ),
            'POST lessons/{lesson}/promises' => Operation::writes('Notes a promise or homework', TakenOfLessons::promise(), 'Promised', 201),
            'PATCH promises/{promise}' => Operation::writes('Says whether it was kept', TakenOfLessons::promiseKept(), 'Promised'),
            'DELETE promises/{promise}' => Operation::writes('Takes it away', [], null),
            'POST promises/{promise}/restore' => Operation::writes('Puts it back', [], 'Promised'),
            'POST sync' => Operation::writes(
                'Takes rounds and marks from a device’s queue; sending the same again changes nothing', TakenOfLessons::batch(), 'Taken',
            ),
        ];
    }

    /** @return array<string, Operation> */
    private static function learners(): array
    {
        return [
            'GET learners' => Operation::reads('The school’s learners', Shapes::listOf('LearnerLine')),
            'POST learners' => Operation::writes('Adds a learner', Taken::learner(), 'LearnerFacts', 201),
            'GET learners/{learner}' => Operation::reads('A learner with their record', 'LearnerRecord'),
            'PUT learners/{learner}' => Operation::writes('Changes a learner’s facts', Taken::learner(), 'LearnerFacts'),
            'DELETE learners/{learner}' => Operation::writes('Archives a learner', [], null),
            'POST learners/{learner}/restore' => Operation::writes('Brings a learner back', [], 'LearnerFacts'),
            'GET learners/{learner}/foretelling' => Operation::reads('How well what the marks said came true in the latest lessons', 'Foretelling'),
            'GET learners/{learner}/habits' => Operation::reads('What the key counted: habits by lesson, gaps at junctions', 'Habits'),
            'GET learners/{learner}/hours' => Operation::reads('Time at the wheel, every drive behind it, and what the law asks of it', 'LearnerHours'),
            'GET learners/{learner}/hours/file' => Operation::reads('The same as CSV', 'HoursFile'),
            'GET learners/{learner}/ready' => Operation::reads('How near a learner is to their test, and what is missing', 'LearnerReady'),
            'GET learners/{learner}/assessments' => Operation::reads('Their tests and mock tests, the last first', Shapes::listOf('Assessment')),
            'POST learners/{learner}/assessments' => Operation::writes('Notes a test or a mock test', TakenOfLessons::assessment(), 'Assessment', 201),
            'POST lessons/{lesson}/mock-test' => Operation::writes(
                'Takes a mock test that was driven in a lesson: its ways become rounds', TakenOfLessons::mockTest(), 'Assessment', 201,
            ),
            'PUT assessments/{assessment}' => Operation::writes('Says it anew', TakenOfLessons::assessment(), 'Assessment'),
            'DELETE assessments/{assessment}' => Operation::writes('Takes it away', [], null),
            'POST assessments/{assessment}/restore' => Operation::writes('Puts it back', [], 'Assessment'),
            'POST learners/{learner}/accompanied' => Operation::writes(
                'Notes a drive with somebody other than an instructor', TakenOfLessons::accompanied(), 'AccompaniedDrive', 201,
            ),
            'PUT accompanied/{accompaniedDrive}' => Operation::writes('Says it anew', TakenOfLessons::accompanied(), 'AccompaniedDrive'),
            'DELETE accompanied/{accompaniedDrive}' => Operation::writes('Takes it away', [], null),
            'POST accompanied/{accompaniedDrive}/restore' => Operation::writes('Puts it back', [], 'AccompaniedDrive'),
            'GET learners/{learner}/needs' => Operation::reads('Routines in the order in which the record asks for them', Shapes::listOf('RoutineNeed')),
            'GET learners/{learner}/skill' => Operation::reads('What the marks say today', 'Skill'),
            'GET learners/{learner}/marks' => Operation::reads(
                'The marks of a step, a section, a routine or in some conditions', Shapes::listOf('MarkBehind'), Taken::marksBehind(),
            ),
            'GET learners/{learner}/skill/{routine}/{step}' => Operation::reads('Everything behind one step of one routine', 'CellEvidence'),
            'POST learners/{learner}/overrulings' => Operation::writes('Says otherwise than the marks', Taken::overruling(), 'Overruling', 201),
            'PATCH overrulings/{overruling}' => Operation::writes('Takes that back, or puts it in force again', Taken::withdrawn(), 'Overruling'),
            'GET learners/{learner}/data' => Operation::reads('Everything kept of a learner', 'LearnerData'),
            'PUT learners/{learner}/keep' => Operation::writes('Keeps a learner longer than the setting says', Taken::keep(), 'Keeping'),
            'POST learners/{learner}/erasure' => Operation::writes('Erases a learner; cannot be undone', Taken::erasure(), null),
            'GET archived' => Operation::reads('What was archived and can be brought back', 'Archive'),
        ];
    }

    /** @return array<string, Operation> */
    private static function places(): array
    {
        $road = ['road' => Shapes::ref('RoadFacts')];
        $arms = ['arms' => Shapes::listOf('SiteArm')];

        return [
            'GET sites' => Operation::reads('The school’s sites', Shapes::listOf('SiteLine')),
            'GET sites/geojson' => Operation::reads('All of them as GeoJSON', 'SitesGeoJson'),
            'POST sites/import' => Operation::writes('What sites that come as GeoJSON would do; keeps them all or none', Taken::sitesIn(), 'SitesIn',
                inside: ['features' => ['type' => 'array', 'items' => ['type' => 'object']]]),
            'GET sites/near' => Operation::reads('Those that lie somewhere, by how long one drives there', Shapes::listOf('SiteNear'), Taken::near()),
            'GET sites/{site}' => Operation::reads('A site with its arms', 'Site'),
            'GET sites/{site}/past' => Operation::reads('What went wrong on its ways before, and who drove there', Shapes::listOf('PastOfWay')),
            'GET sites/{site}/pictures' => Operation::reads('Pictures hung on its roads', Shapes::listOf('Picture')),
            'POST sites/{site}/pictures' => Operation::writes('Hangs a picture on a road', Taken::picture(), 'Picture', 201),
            'GET pictures/{picture}' => Operation::reads('A picture, to be seen', 'PictureShown'),
            'PUT pictures/{picture}' => Operation::writes('Says more of a picture, or draws on it', Taken::pictureChanges(), 'Picture'),
            'DELETE pictures/{picture}' => Operation::writes('Takes a picture down', [], null),
            'POST pictures/{picture}/restore' => Operation::writes('Hangs it up again', [], 'Picture'),
            ...self::circuits(),
            'POST sites' => Operation::writes('Draws a site', Taken::site(), 'Site', 201, inside: $arms),
            'PUT sites/{site}' => Operation::writes('Draws a site anew; the ways that lessons use follow it', Taken::site(), 'Site', inside: $arms),
            'DELETE sites/{site}' => Operation::writes('Archives a site', [], null),
            'POST sites/{site}/restore' => Operation::writes('Brings a site back', [], 'Site'),
            'POST sites/{site}/merge' => Operation::writes('Puts another site that is the same one into this', Taken::sitesMerged(), 'Site'),
            'POST sites/{site}/ways' => Operation::writes('The place that lessons use of a way through it', Taken::way(), 'Place', 201),
            'GET places' => Operation::reads('The school’s places', Shapes::listOf('PlaceWithDrawings')),
            'POST places' => Operation::writes('Adds a place', Taken::place(), 'Place', 201, inside: $road),
            'PUT places/{place}' => Operation::writes('Describes a place anew', Taken::place(), 'Place', inside: $road),
            'DELETE places/{place}' => Operation::writes('Archives a place', [], null),
            'POST places/{place}/restore' => Operation::writes('Brings a place back', [], 'Place'),
            'GET places/{place}/lessons' => Operation::reads('Lessons to come that have this place on their plan', Shapes::listOf('LessonLine')),
            'POST places/{place}/drawings' => Operation::writes(
                'Keeps a page of the bench with a place', Taken::drawing(), 'Drawing', 201, inside: ['asked' => Shapes::ref('ToolAsked')],
            ),
            'DELETE drawings/{drawing}' => Operation::writes('Archives it', [], null),
            'POST drawings/{drawing}/restore' => Operation::writes('Brings it back', [], 'Drawing'),
            'GET vehicles' => Operation::reads('The school’s cars', Shapes::listOf('Vehicle')),
            'POST vehicles' => Operation::writes(
                'Adds a car', Taken::vehicle(VehicleController::FIGURES), 'Vehicle', 201, inside: ['figures' => Shapes::ref('VehicleFigures')],
            ),
            'PUT vehicles/{vehicle}' => Operation::writes(
                'Describes a car anew', Taken::vehicle(VehicleController::FIGURES), 'Vehicle', inside: ['figures' => Shapes::ref('VehicleFigures')],
            ),
            'DELETE vehicles/{vehicle}' => Operation::writes('Archives a car', [], null),
            'POST vehicles/{vehicle}/restore' => Operation::writes('Brings a car back', [], 'Vehicle'),
        ];
    }

    /** @return array<string, Operation> */
    private static function school(): array
    {
        return [
            'GET school/learners' => Operation::reads('Every learner with what their marks say', 'SchoolLearners'),
            'GET school/remedies' => Operation::reads('What was given against which fault, and whether it has helped', Shapes::listOf('GivenRemedy')),
            'GET school/tests' => Operation::reads('The tests that were taken: what was expected of them, and what they were failed by', 'SchoolTests'),
            'GET school/teaching' => Operation::reads('What is taught worst or never, where and why', 'Teaching'),
            'GET school/foretelling' => Operation::reads(
                'How well the records foretell, of whom they do not, and how strictly each instructor marks', 'SchoolForetelling',
            ),
            'POST school/records' => Operation::writes('Brings records up to date in the background', [], 'RecordsState'),
            'PUT school/position' => Operation::writes('Says where the school lies', Taken::position(), 'SchoolPosition'),
            'GET school/texts' => Operation::reads('What the school tells its learners, in which words and when, and its outbox', 'TextSettings'),
            'PUT school/texts' => Operation::writes('Says it anew', TakenOfDiary::texts(), 'TextSettings'),
            'PUT school/reading' => Operation::writes('Says whether instructors read each other’s lessons', Taken::reading(), 'Reading'),
            'GET people' => Operation::reads('The people of the school', 'People'),
            'POST people' => Operation::writes('Invites somebody', Taken::person(), 'Person', 201),
            'PUT people/{person}' => Operation::writes('Changes somebody’s name, email or role', Taken::person(), 'Person'),
            'POST people/{person}/letter' => Operation::writes('Writes another letter', [], 'Person'),
            'POST people/{person}/suspension' => Operation::writes('Suspends somebody', [], 'Person'),
            'DELETE people/{person}/suspension' => Operation::reads('Lets them in again', 'Person'),
            'GET people/{person}/lessons-ahead' => Operation::reads('What handing over would mean', 'LessonsAhead', Taken::lessonsAhead()),
            'POST people/{person}/hand-over' => Operation::writes('Hands lessons over', Taken::handOver(), 'Moved'),
            'GET letters' => Operation::reads('The outbox', 'Letters'),
            'GET changes' => Operation::reads('What was changed, the last first', 'Changes', Taken::changes()),
            'GET retention' => Operation::reads('How long anybody is kept', 'Keeping'),
            'PUT retention' => Operation::writes('Sets how long', Taken::retention(), 'Keeping'),
        ];
    }

    /** @return array<string, Operation> */
    private static function circuits(): array
    {
        return [
            'GET circuits' => Operation::reads('One’s own circuits, and those the school shares', Shapes::listOf('KeptCircuit')),
            'POST circuits' => Operation::writes('Keeps a circuit', TakenOfCircuits::circuit(), 'KeptCircuit', 201),
            'PUT circuits/{circuit}' => Operation::writes('Changes a circuit that is kept', TakenOfCircuits::circuit(), 'KeptCircuit'),
            'DELETE circuits/{circuit}' => Operation::writes('Archives a circuit', [], null),
            'POST circuits/{circuit}/restore' => Operation::writes('Brings a circuit back', [], 'KeptCircuit'),
            'POST circuits/plans' => Operation::writes('What each way is planned with; keeps nothing', TakenOfCircuits::plans(), Shapes::listOf('WayAsked')),
            'POST circuits/gpx' => Operation::writes('A circuit as GPX; keeps nothing', TakenOfCircuits::asGpx(), 'Gpx'),
            'GET legs' => Operation::reads('Drives between sites that somebody measured', 'DrivesMeasured'),
            'POST legs/track' => Operation::writes('What a recorded drive measures; keeps it where that is wanted', TakenOfCircuits::track(), 'TrackRead'),
            'DELETE legs/{leg}' => Operation::writes('Throws a measured drive out', [], null),
            'POST legs/{leg}/restore' => Operation::writes('Takes it in again', [], 'DriveMeasured'),
            'GET centres' => Operation::reads('The files of the test centres', Shapes::listOf('Centre')),
            'POST centres' => Operation::writes('Opens the file of a test centre', TakenOfCircuits::centre(), 'Centre', 201),
            'PUT centres/{centre}' => Operation::writes('Changes the file of a test centre', TakenOfCircuits::centre(), 'Centre'),
            'DELETE centres/{centre}' => Operation::writes('Archives the file of a test centre', [], null),
            'POST centres/{centre}/restore' => Operation::writes('Brings it back', [], 'Centre'),
        ];
    }
}
