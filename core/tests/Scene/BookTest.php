<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Scenes;

it('has every scene in the book', function (): void {
    $book = dirname(__DIR__, 3).'/docs/rules/scenes.md';
    if (getenv('NOBLE_TURN_RECORD') === '1') {
        file_put_contents($book, Scenes::book());
    }
    expect(file_get_contents($book))->toBe(Scenes::book())->and(substr_count(Scenes::book(), "\n- "))->toBeGreaterThan(5);
});
