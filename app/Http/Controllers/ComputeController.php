<?php

namespace App\Http\Controllers;

use App\Http\Allowance;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Toolbox;

/** The core's tools over HTTP: the same JSON and the same answer as on the command line. */
final class ComputeController extends Controller
{
    public function __invoke(Request $request, Allowance $allowance, string $tool): JsonResponse
    {
        Toolbox::tool($tool);
        try {
            $input = json_decode($request->getContent(), true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $malformed) {
            return response()->json(['message' => 'The input is not JSON: '.$malformed->getMessage().'.'], 400);
        }

        $question = Toolbox::ask($tool, $input);
        $allowance->take($this->user($request), 'compute', $question->effort * Effort::STEP_MS);

        return response()->json($question->answer(), options: JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }
}
