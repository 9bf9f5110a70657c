<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Arrival;
use App\Http\Resources\Show;
use App\Installation\Installation;
use App\Installation\Kind;
use App\Models\School;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The first visit to an empty installation: the school and its owner. Closed as soon as there is one. */
final class FirstRunController extends Controller
{
    public function __invoke(Request $request): JsonResponse
    {
        $said = $request->validate(Taken::firstRun(is_string($request->input('email')) ? $request->input('email') : ''));
        [$school, $owner] = DB::transaction(function () use ($said): array {
            abort_if(Installation::kind() === Kind::Demo, 403, 'This installation is the demo: a school of your own is set up in another one.');
            Installation::beOwn();
            abort_if(School::query()->exists(), 403, 'This installation has its school already.');
            $school = School::query()->create(['name' => $said['school'], 'time_zone' => $said['time_zone'], 'pack' => $said['pack'], 'practice' => []]);
            $owner = new User(['name' => $said['name'], 'email' => $said['email'], 'password' => $said['password']]);
            $owner->school_id = $school->id;
            $owner->role = 'owner';
            $owner->joined_at = Carbon::now();
            $owner->save();

            return [$school, $owner];
        });
        Arrival::of($owner, $request);

        return response()->json(Show::me($owner, $school), 201);
    }
}
