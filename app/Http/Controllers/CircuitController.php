<?php

namespace App\Http\Controllers;

use App\Circuits\WaysOfCircuit;
use App\Contract\TakenOfCircuits;
use App\Http\Resources\ShowCircuits;
use App\Interchange\CircuitGpx;
use App\Models\Centre;
use App\Models\Circuit;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Circuits that are kept: one's own, and those the school shares. */
final class CircuitController extends Controller
{
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $seen = Circuit::seenBy($user)->with('user')->orderBy('name')->orderBy('id')->get();

        return response()->json($seen->map(static fn (Circuit $circuit): array => ShowCircuits::circuit($circuit, $user)));
    }

    public function store(Request $request): JsonResponse
    {
        $circuit = new Circuit;
        $circuit->user_id = $this->user($request)->id;

        return response()->json($this->write($circuit, $request), 201);
    }

    public function update(Request $request, Circuit $circuit): JsonResponse
    {
        Gate::authorize('update', $circuit);

        return response()->json($this->write($circuit, $request));
    }

    public function destroy(Circuit $circuit): Response
    {
        Gate::authorize('update', $circuit);
        $circuit->delete();

        return response()->noContent();
    }

    public function restore(Request $request, string $circuit): JsonResponse
    {
        $found = Circuit::withTrashed()->findOrFail($circuit);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json(ShowCircuits::circuit($found, $this->user($request)));
    }

    /** What each way is planned with, for its sheet: the law is its site's, how it is taught is who asks. */
    public function plans(Request $request, CurrentSchool $current): JsonResponse
    {
        /** @var array{ways: list<array{site: string, from: string, to: string, routine: string}>} $said */
        $said = $request->validate(TakenOfCircuits::plans());

        return response()->json(WaysOfCircuit::of($said['ways'])->plans(ChosenRules::of($current->school(), $this->user($request))));
    }

    public function gpx(Request $request, CurrentSchool $current): JsonResponse
    {
        /** @var array{name: string, start: array{name: string, latitude_deg: float|string, longitude_deg: float|string}, end: array{name: string,
         *     latitude_deg: float|string, longitude_deg: float|string},
         *     ways: list<array{site: string, from: string, to: string, routine: string, rounds: int}>} $said */
        $said = $request->validate(TakenOfCircuits::asGpx());

        $stops = WaysOfCircuit::of($said['ways'])->stops(ChosenRules::of($current->school(), $this->user($request)));

        return response()->json(['gpx' => CircuitGpx::out($said['name'], $said['start'], $said['end'], $stops)]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException where it has a way of no site of the school, or a centre that is not its
     */
    private function write(Circuit $circuit, Request $request): array
    {
        /** @var array{ways: list<array{site: string, from: string, to: string, routine: string, rounds: int}>, centre_id?: ?string} $said */
        $said = $request->validate(TakenOfCircuits::circuit());
        WaysOfCircuit::of($said['ways']);
        if (isset($said['centre_id']) && Centre::query()->whereKey($said['centre_id'])->doesntExist()) {
            throw ValidationException::withMessages(['centre_id' => 'must be a test centre of this school.']);
        }
        $circuit->fill(['rehearsal' => false, 'note' => null, 'centre_id' => null, ...$said]);
        $circuit->save();

        return ShowCircuits::circuit($circuit, $this->user($request));
    }
}
