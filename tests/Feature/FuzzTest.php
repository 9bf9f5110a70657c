<?php

use Illuminate\Support\Facades\DB;
use Tests\Fuzz;

/*
 * Thousands of random requests: none may be answered with an error of ours. The seed is fixed, so that a run can be run again;
 * `bin/test fuzz` takes one by chance and prints it, NOBLE_TURN_SEED=… that one.
 */
it('answers no request with an error of its own', function (): void {
    config(['logging.default' => 'null', 'logging.channels.null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class]]);
    $seed = (int) (getenv('NOBLE_TURN_SEED') ?: 20261127);
    $ours = $this->world('Ours');
    $fuzz = new Fuzz($seed, $ours['ids'], $this->world('Theirs')['ids']);
    $this->withoutMiddleware(Illuminate\Routing\Middleware\ThrottleRequests::class);
    $errors = $answers = [];
    for ($i = 0; $i < 5000; $i++) {
        $sent = $fuzz->request();
        DB::beginTransaction();
        $answer = $this->actingAs($ours['owner'])->call(
            $sent['method'], $sent['uri'], server: ['CONTENT_TYPE' => $sent['type'], 'HTTP_ACCEPT' => 'application/json'], content: $sent['body'],
        );
        DB::rollBack();
        $status = $answer->status();
        $answers[$status] = ($answers[$status] ?? 0) + 1;
        if ($status >= 500) {
            $errors[] = "{$status} {$sent['method']} {$sent['uri']} {$sent['type']} "
                .substr($sent['body'], 0, 300)
                .' -> '
                .class_basename($answer->exception ?? 'none')
                .': '
                .substr(
                    (string) $answer->exception?->getMessage(), 0, 200,
                );
        }
    }
    ksort($answers);
    fwrite(STDERR, "\nFuzz, seed {$seed}: ".json_encode($answers)."\n");
    expect(array_slice($errors, 0, 12))->toBe([]);
});
