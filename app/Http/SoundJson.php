<?php

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Routing\ResponseFactory;

/** Every JSON answer. A text that was stored before its encoding was checked is shown with a mark in place of what is broken. */
final class SoundJson extends ResponseFactory
{
    /** @param  array<string, string>  $headers */
    public function json($data = [], $status = 200, array $headers = [], $options = 0): JsonResponse
    {
        return parent::json($data, $status, $headers, $options | JSON_INVALID_UTF8_SUBSTITUTE);
    }
}
