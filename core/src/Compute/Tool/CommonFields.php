<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\SpeedUnit;
use NobleTurn\Core\Trade\Surface;

/** Fields that several tools share, read with the same defaults and named as assumptions where they were not given. */
final class CommonFields
{
    public static function packField(): ChoiceField
    {
        return new ChoiceField('pack', 'rule pack', RulePacks::codes());
    }

    public static function surfaceField(): ChoiceField
    {
        return ChoiceField::of('surface', 'what the tyres have under them; default dry', Surface::class);
    }

    public static function gradientField(): NumberField
    {
        return new NumberField('gradient', 'rise over run, + uphill; default 0', -Gradient::STEEPEST, Gradient::STEEPEST);
    }

    public static function pack(Values $input): RulePack
    {
        return RulePacks::byCode($input->text('pack') ?? 'gb');
    }

    public static function surface(Values $input): Surface
    {
        return $input->choice('surface', Surface::class) ?? Surface::Dry;
    }

    public static function gradient(Values $input): Gradient
    {
        return Gradient::ofRiseOverRun($input->number('gradient') ?? 0.0);
    }

    /** @return list<Assumption> a default for each of these fields that was not given */
    public static function defaults(Values $input, Assumption ...$defaults): array
    {
        return array_values(array_filter($defaults, static fn (Assumption $default): bool => ! $input->has($default->name)));
    }

    public static function default(string $field, float|int|string|bool $value, string $unit = ''): Assumption
    {
        return new Assumption($field, $value, $unit, Source::assumed());
    }

    /** @return array<string, float> a headline speed in SI and in the pack's unit */
    public static function headlineSpeed(string $name, float $metresPerSecond, RulePack $pack): array
    {
        $speed = Speed::ofMetresPerSecond($metresPerSecond);

        return ["{$name}_mps" => round($metresPerSecond, 3), "{$name}_{$pack->speedUnit()->value}" => round($pack->speedUnit()->number($speed), 1)];
    }

    /** @return array<string, array<string, mixed>> schema of a headline speed */
    public static function headlineSpeedSchema(string $name, string $about): array
    {
        $properties = ["{$name}_mps" => Out::number($about)];
        foreach (SpeedUnit::cases() as $unit) {
            $properties["{$name}_{$unit->value}"] = Out::number("{$about}, in the pack's unit");
        }

        return $properties;
    }
}
