<?php

namespace App\Http\Controllers;

use App\Http\Resources\Show;
use App\Models\Vehicle;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The school's cars. */
final class VehicleController extends Controller
{
    public function index(): JsonResponse
    {
        return response()->json(Vehicle::query()->get()->sortBy('name')->values()->map(fn (Vehicle $vehicle): array => Show::vehicle($vehicle)));
    }

    public function store(Request $request): JsonResponse
    {
        $said = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'transmission' => ['required', 'in:manual,automatic'],
            'controls' => ['required', 'in:standard,hand'],
            'length_m' => ['sometimes', 'numeric', 'between:2,25'],
            'width_m' => ['sometimes', 'numeric', 'between:1.2,3'],
        ]);

        return response()->json(Show::vehicle(Vehicle::query()->create(['length_m' => 4.5, 'width_m' => 1.8, ...$said])), 201);
    }
}
