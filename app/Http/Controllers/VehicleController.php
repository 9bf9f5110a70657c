<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Models\Vehicle;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Tool\VehicleField;
use NobleTurn\Core\Compute\Tool\VehicleFigures;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Vehicle as Kind;

/** The school's cars. What is not known of one takes the demo car's figure, named as assumed in every answer. */
final class VehicleController extends Controller
{
    /** Fields of the core's vehicle that a school may know; names, kinds and bounds are the core's. */
    public const FIGURES = [
        'like', 'shift_time_s', 'ratios', 'final_drive', 'tyre', 'idle_rpm', 'red_line_rpm', 'torque_nm', 'torque_rpm', 'power_kw', 'power_rpm',
        'engine_braking_mps2', 'mass_kg',
        'drag_area_m2', 'rolling', 'wheelbase_m', 'front_overhang_m', 'rear_overhang_m', 'track_m', 'height_m', 'steering_ratio', 'turning_circle_m',
    ];

    public function index(): JsonResponse
    {
        return response()->json(Vehicle::query()->get()->sortBy('name')->values()->map(fn (Vehicle $vehicle): array => Show::vehicle($vehicle)));
    }

    /** Kinds of vehicle to begin from, with the figures that fill the gaps of one that is like them. */
    public function kinds(Request $request, CurrentSchool $current): JsonResponse
    {
        $pack = ChosenRules::of($current->school(), $this->user($request))->pack();

        return response()->json(array_map(static fn (Kind $kind): array => [
            'id' => $kind->id, 'name' => ucfirst(VehicleField::named($kind, $pack)), 'transmission' => $kind->transmission->value,
            'controls' => $kind->controls->value,
            'length_m' => $kind->length->inMetres(), 'width_m' => $kind->width->inMetres(),
            'electric' => $kind->engine->isElectric, 'figures' => VehicleFigures::of($kind), 'units' => VehicleFigures::units($kind),
        ], DemoVehicles::all()));
    }

    public function store(Request $request): JsonResponse
    {
        return response()->json(Show::vehicle(Vehicle::query()->create(['length_m' => 4.5, 'width_m' => 1.8, ...$this->facts($request)])), 201);
    }

    public function update(Request $request, Vehicle $vehicle): JsonResponse
    {
        $vehicle->update($this->facts($request));

        return response()->json(Show::vehicle($vehicle));
    }

    public function destroy(Vehicle $vehicle): Response
    {
        $vehicle->delete();

        return response()->noContent();
    }

    public function restore(string $vehicle): JsonResponse
    {
        $found = Vehicle::withTrashed()->findOrFail($vehicle);
        $found->restore();

        return response()->json(Show::vehicle($found));
    }

    /** @return array<string, mixed> */
    private function facts(Request $request): array
    {
        $said = $request->validate(Taken::vehicle(self::FIGURES));
        $figures = $request->json()->all()['figures'] ?? [];
        try {
            Toolbox::run('engine', ['vehicle' => [...$figures, 'transmission' => $said['transmission'], 'controls' => $said['controls']], 'speed_mps' => 1.0]);
        } catch (BadInput $bad) {
            throw ValidationException::withMessages(array_combine(
                array_map(static fn (string $field): string => 'figures.'.preg_replace('/^vehicle\./', '', $field), array_keys($bad->errors)),
                array_values($bad->errors),
            ));
        }

        return [...$said, 'figures' => $figures];
    }
}
