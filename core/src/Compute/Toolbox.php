<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Compute\Tool\AmberTool;
use NobleTurn\Core\Compute\Tool\ApproachTool;
use NobleTurn\Core\Compute\Tool\ClearanceTool;
use NobleTurn\Core\Compute\Tool\CrossingTool;
use NobleTurn\Core\Compute\Tool\EngineTool;
use NobleTurn\Core\Compute\Tool\FollowingTool;
use NobleTurn\Core\Compute\Tool\GapTool;
use NobleTurn\Core\Compute\Tool\JoinTool;
use NobleTurn\Core\Compute\Tool\LaneChangeTool;
use NobleTurn\Core\Compute\Tool\LanesTool;
use NobleTurn\Core\Compute\Tool\LeaveTool;
use NobleTurn\Core\Compute\Tool\OvertakeTool;
use NobleTurn\Core\Compute\Tool\ReverseTool;
use NobleTurn\Core\Compute\Tool\SkillTool;
use NobleTurn\Core\Compute\Tool\SteeringTool;
use NobleTurn\Core\Compute\Tool\StoppingTool;
use NobleTurn\Core\Compute\Tool\SweptPathTool;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\InvalidQuantity;
use NobleTurn\Core\Fault\UnknownName;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;

/**
 * All tools, by name. The same input and version give the same answer, byte for byte. Any tool answers a
 * `sweep` of one numeric field with a list of answers.
 */
final class Toolbox
{
    public const VERSION = '0.1.0';

    private const MOST_SWEPT = 240;

    /** @return non-empty-list<Tool> */
    public static function all(): array
    {
        return [new AmberTool, new ApproachTool, new ClearanceTool, new CrossingTool, new EngineTool, new FollowingTool, new GapTool, new JoinTool, new LaneChangeTool, new LanesTool, new LeaveTool, new OvertakeTool, new ReverseTool, new SkillTool, new SteeringTool, new StoppingTool, new SweptPathTool];
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return array_map(static fn (Tool $tool): string => $tool->name(), self::all());
    }

    /** @throws UnknownName */
    public static function tool(string $name): Tool
    {
        foreach (self::all() as $tool) {
            if ($tool->name() === $name) {
                return $tool;
            }
        }
        throw UnknownName::among('tool', $name, self::names());
    }

    /**
     * @param  mixed  $raw  decoded JSON
     * @return array<string, mixed>
     *
     * @throws UnknownName
     * @throws BadInput
     */
    public static function run(string $name, mixed $raw): array
    {
        $tool = self::tool($name);
        if (! is_array($raw) || ! array_key_exists('sweep', $raw)) {
            return self::one($tool, $tool->input(), $raw);
        }
        if ($tool->input()->numericProperties() === []) {
            throw BadInput::field('sweep', 'is not for this tool: it has no number to vary.');
        }
        $sweep = self::sweep($tool, $raw['sweep']);
        unset($raw['sweep']);
        $shape = $tool->input();
        foreach ($shape->namesBeside($sweep['field']) as $beside) {
            if (array_key_exists($beside, $raw)) {
                throw BadInput::field($beside, "must not be given beside a sweep of {$sweep['field']}: one unit for one quantity.");
            }
        }
        $answers = [];
        foreach ($sweep['values'] as $value) {
            $answers[] = ['at' => $value] + self::one($tool, $shape, [$sweep['field'] => $value] + $raw);
        }

        return ['tool' => $name, 'version' => ['core' => self::VERSION], 'sweep' => $sweep['field'], 'answers' => $answers];
    }

    /** @return array<string, mixed> */
    private static function one(Tool $tool, Shape $shape, mixed $raw): array
    {
        $findings = new Findings;
        $values = $shape->read($raw, '', $findings);
        $findings->throwIfAny();
        try {
            $answer = $tool->answer($values ?? new Values([]));
        } catch (InvalidQuantity $absurd) {
            // Each field is within its bounds, and yet together they mean something absurd.
            throw BadInput::field('(input)', 'means something absurd: '.$absurd->getMessage());
        }

        return [
            'tool' => $tool->name(),
            'version' => ['core' => self::VERSION, 'pack' => "{$answer->pack} {$answer->packVersion}"],
            ...$answer->body,
            'assumptions' => array_map(static fn (Assumption $assumption): array => $assumption->toArray(), $answer->assumptions),
            'warnings' => array_map(static fn (Warning $warning): array => [
                'code' => $warning->code, 'message' => $warning->message, 'data' => $warning->data === [] ? new \stdClass : $warning->data,
            ], $answer->warnings),
        ];
    }

    /**
     * @return array{field: string, values: non-empty-list<float>}
     *
     * @throws BadInput
     */
    private static function sweep(Tool $tool, mixed $raw): array
    {
        $findings = new Findings;
        $values = Schemas::sweep($tool)->read($raw, 'sweep', $findings);
        $findings->throwIfAny();
        $from = $values?->number('from') ?? 0.0;
        $to = $values?->number('to') ?? 0.0;
        $step = $values?->number('step') ?? 1.0;
        if ($to < $from) {
            throw BadInput::field('sweep.to', 'must not be smaller than sweep.from.');
        }
        $count = (int) floor(($to - $from) / $step + 1e-9) + 1;
        if ($count > self::MOST_SWEPT) {
            throw BadInput::field('sweep.step', 'must be large enough for at most '.self::MOST_SWEPT.' answers.');
        }

        return [
            'field' => $values?->text('field') ?? '',
            'values' => array_map(static fn (int $i): float => round($from + $i * $step, 9), range(0, $count - 1)),
        ];
    }
}
