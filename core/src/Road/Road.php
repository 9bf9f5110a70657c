<?php

declare(strict_types=1);

namespace NobleTurn\Core\Road;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * The road of a place: its kind, what was measured there, and the version in which that is written. One that can be constructed
 * can be planned: nothing needs to be planned to know it.
 */
final readonly class Road
{
    /** Moves when facts change their names or meaning; what is kept in an older one is then rewritten by a migration. */
    public const VERSION = 1;

    /** @param  array<string, mixed>  $facts by the tools' names, in the units in which they were said */
    private function __construct(public RoadKind $kind, public RoutineCode $routine, public array $facts, private RulePack $pack)
    {
    }

    /**
     * @param  array<string, mixed>  $facts without or with its kind and version, as `toArray` writes them
     *
     * @throws BadInput where a fact is out of its bounds, belongs to another kind of road, or contradicts another
     */
    public static function of(RoutineCode $routine, array $facts, RulePack $pack): self
    {
        $kind = RoadKind::of($routine) ?? throw BadInput::field('routine', 'belongs to no place: it has its card.');
        if (($facts['version'] ?? self::VERSION) !== self::VERSION) {
            throw BadInput::field('version', 'must be '.self::VERSION.': this road is written for another Noble Turn.');
        }
        if (($facts['kind'] ?? $kind->value) !== $kind->value) {
            throw BadInput::field('kind', "must be {$kind->value} for this routine.");
        }
        unset($facts['kind'], $facts['version']);
        $known = array_intersect($kind->fields(), PlannedBy::fields($routine));
        $strange = array_diff(array_keys($facts), $known);
        if ($strange !== []) {
            throw BadInput::of(
                array_fill_keys(array_map(strval(...), $strange), ["is not a fact of this place: its routine asks for none or another ({$kind->value})."]),
            );
        }
        self::inMetres($facts);
        $road = new self($kind, $routine, $facts, $pack);
        Toolbox::ask($road->tool()->name(), $road->inputs())->sound();

        return $road;
    }

    /** @return array<string, mixed> as it is kept and answered */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'version' => self::VERSION] + $this->facts;
    }

    /** @return array<string, mixed> what its tool is asked, under the rules of the pack */
    public function inputs(): array
    {
        return PlannedBy::inputs($this->routine, $this->facts, $this->pack);
    }

    public function tool(): Tool
    {
        return Toolbox::tool(PlannedBy::tool($this->routine) ?? '');
    }

    /** @return array<string, mixed> JSON Schema of a road of this kind, as it is kept */
    public static function schema(RoadKind $kind): array
    {
        $facts = [];
        foreach (['approach', 'join', 'leave', 'overtake', 'lane-change'] as $tool) {
            $facts += Toolbox::input($tool)->properties();
        }
        $facts = array_map(self::kept(...), array_intersect_key($facts, array_flip($kind->fields())));

        return Out::object(['kind' => ['const' => $kind->value], 'version' => ['const' => self::VERSION]] + $facts, array_keys($facts));
    }

    /**
     * A fact's schema as it is kept: lengths in metres only, so that whoever reads one knows where to look.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function kept(array $schema): array
    {
        if (isset($schema['oneOf'])) {
            return ['oneOf' => array_map(self::kept(...), $schema['oneOf'])] + $schema;
        }
        if (isset($schema['items'])) {
            return ['items' => self::kept($schema['items'])] + $schema;
        }
        if (! isset($schema['properties'])) {
            return $schema;
        }
        $properties = array_filter($schema['properties'], static fn (string $name): bool => ! self::isOtherUnit($name), ARRAY_FILTER_USE_KEY);
        $needed = [];
        foreach ($schema['allOf'] ?? [] as $condition) {
            // Any of the names under which it can be given: of those, one is left.
            $needed = [...$needed, ...array_intersect(array_merge(...array_column($condition['anyOf'] ?? [], 'required')), array_keys($properties))];
        }

        return Out::object($properties, array_values(array_diff(array_keys($properties), $needed))) + array_intersect_key($schema, ['description' => 0]);
    }

    /**
     * @param  array<array-key, mixed>  $facts
     *
     * @throws BadInput
     */
    private static function inMetres(array $facts, string $path = ''): void
    {
        foreach ($facts as $name => $value) {
            if (is_string($name) && self::isOtherUnit($name)) {
                throw BadInput::field($path.$name, 'is kept in metres: say '.preg_replace('/_[a-z]+$/', '_m', $name).'.');
            }
            if (is_array($value)) {
                self::inMetres($value, "{$path}{$name}.");
            }
        }
    }

    private static function isOtherUnit(string $name): bool
    {
        return preg_match('/_(yd|ft)$/', $name) === 1;
    }
}
