<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;

/* What is said of a gear is what the engine does in it, on every hill and at every speed. */

it('says that a gear holds the speed only where it does, and where none does names the one that loses least', function (string $id): void {
    $vehicle = DemoVehicles::byId($id);
    $performance = new Performance($vehicle);
    $none = 0;
    foreach ([3, 10, 20, 30, 45, 60, 70] as $mph) {
        foreach ([-0.1, 0.0, 0.05, 0.1, 0.15, 0.2, 0.3] as $slope) {
            $speed = Speed::ofMilesPerHour($mph);
            $gradient = Gradient::ofRiseOverRun($slope);
            $choice = GearChoice::for($vehicle, Purpose::Cruise, $speed, $gradient);
            $where = "{$id} {$mph} {$slope}: {$choice->gear}, {$choice->reason}";
            $turns = array_filter(range(1, $vehicle->gearbox->topGear()), static fn (int $gear): bool => ! $performance->overRevs($speed, $gear));
            $accelerations = array_map(static fn (int $gear): float => $performance->acceleration($speed, $gear, $gradient), $turns);
            expect($choice->accelerationMps2)->toBe($performance->acceleration($speed, $choice->gear, $gradient));
            if ($turns !== []) {
                expect($performance->overRevs($speed, $choice->gear))->toBeFalse($where);
            }
            if (str_starts_with($choice->reason, 'none holds')) {
                $none++;
                expect($choice->accelerationMps2)->toBeLessThan(0.0, $where);
                if ($turns !== []) {
                    expect(max($accelerations))->toBe($choice->accelerationMps2, $where);
                }
            } else {
                expect($choice->accelerationMps2)->toBeGreaterThanOrEqual(0.0, $where);
            }
        }
    }
    expect($none)->toBeGreaterThan(0);
})->with(['small-petrol-hatch', 'small-automatic', 'small-electric', 'loaded-van', 'rigid-lorry', 'articulated-lorry']);

it('never says that it pulls where it slows down', function (string $id): void {
    foreach ([10, 20, 30, 45, 60] as $mph) {
        foreach ([0.0, 0.08, 0.16, 0.25, 0.33] as $slope) {
            $choice = GearChoice::for(DemoVehicles::byId($id), Purpose::Pull, Speed::ofMilesPerHour($mph), Gradient::ofRiseOverRun($slope));
            expect(preg_match('/^pulls hardest|drops to it/', $choice->reason) === 1 && $choice->accelerationMps2 < 0.0)
                ->toBeFalse("{$id} {$mph} {$slope}: {$choice->gear}, {$choice->reason}")
                ->and($choice->gear === 1 && str_contains($choice->reason, 'a lower one'))->toBeFalse("{$id} {$mph} {$slope}: there is none lower");
        }
    }
})->with(['small-petrol-hatch', 'small-automatic', 'small-electric', 'loaded-van', 'articulated-lorry']);

it('changes down into what it would pull in: no gear is called too low for the revs that is the one to pull in', function (): void {
    foreach (range(20, 90, 5) as $mph) {
        $answer = Ask::tool('engine', ['speed_mph' => $mph]);
        $pull = array_column($answer['choices'], 'gear', 'purpose')['pull'];
        foreach ($answer['changes'] as $change) {
            if ($change['to_gear'] >= $pull && $change['to_gear'] < $change['from_gear']) {
                expect($change['message'])->not->toContain('Brake first', "{$mph} mph");
            }
        }
    }
});
