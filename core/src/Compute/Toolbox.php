<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Compute\Tool\AmberTool;
use NobleTurn\Core\Compute\Tool\ApproachTool;
use NobleTurn\Core\Compute\Tool\CircuitTool;
use NobleTurn\Core\Compute\Tool\ClearanceTool;
use NobleTurn\Core\Compute\Tool\CrossingTool;
use NobleTurn\Core\Compute\Tool\EngineTool;
use NobleTurn\Core\Compute\Tool\FollowingTool;
use NobleTurn\Core\Compute\Tool\GapTool;
use NobleTurn\Core\Compute\Tool\JoinTool;
use NobleTurn\Core\Compute\Tool\LaneChangeTool;
use NobleTurn\Core\Compute\Tool\LanesTool;
use NobleTurn\Core\Compute\Tool\LeaveTool;
use NobleTurn\Core\Compute\Tool\LightsTool;
use NobleTurn\Core\Compute\Tool\MarkTestTool;
use NobleTurn\Core\Compute\Tool\NextLessonTool;
use NobleTurn\Core\Compute\Tool\OvertakeTool;
use NobleTurn\Core\Compute\Tool\PriorityTool;
use NobleTurn\Core\Compute\Tool\ReadyTool;
use NobleTurn\Core\Compute\Tool\ReverseTool;
use NobleTurn\Core\Compute\Tool\SeriesTool;
use NobleTurn\Core\Compute\Tool\SightTool;
use NobleTurn\Core\Compute\Tool\SiteTool;
use NobleTurn\Core\Compute\Tool\SkillTool;
use NobleTurn\Core\Compute\Tool\SteeringTool;
use NobleTurn\Core\Compute\Tool\StoppingTool;
use NobleTurn\Core\Compute\Tool\SweptPathTool;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\UnknownName;
use NobleTurn\Core\Rules\RulePacks;

/**
 * All tools, by name. The same input and version give the same answer, byte for byte. Any tool answers a
 * `sweep` of one numeric field with a list of answers.
 */
final class Toolbox
{
    /** Moves with every change of an answer: GoldenTest fails until it does. */
    public const VERSION = '0.21.0';

    private const MOST_SWEPT = 240;

    /** @var array<string, Shape> what each tool takes, by its name and the packs there are: written once, it never changes */
    private static array $inputs = [];

    /** @var ?array<string, Tool> by name: they keep nothing */
    private static ?array $tools = null;

    /** @return non-empty-list<Tool> */
    public static function all(): array
    {
        return [
            new AmberTool, new ApproachTool, new CircuitTool, new ClearanceTool, new CrossingTool, new EngineTool, new FollowingTool, new GapTool, new JoinTool,
            new LaneChangeTool, new LanesTool, new LeaveTool, new LightsTool, new MarkTestTool, new NextLessonTool, new OvertakeTool, new PriorityTool,
            new ReadyTool, new ReverseTool, new SeriesTool, new SightTool, new SiteTool,
            new SkillTool, new SteeringTool, new StoppingTool, new SweptPathTool,
        ];
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return array_map(static fn (Tool $tool): string => $tool->name(), self::all());
    }

    /** @throws UnknownName */
    public static function tool(string $name): Tool
    {
        self::$tools ??= array_combine(self::names(), self::all());

        return self::$tools[$name] ?? throw UnknownName::among('tool', $name, self::names());
    }

    /** @throws UnknownName */
    public static function input(string $name): Shape
    {
        return self::$inputs[implode(' ', [$name, ...RulePacks::codes()])] ??= self::tool($name)->input();
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
        return self::ask($name, $raw)->answer();
    }

    /**
     * @param  mixed  $raw  decoded JSON
     *
     * @throws UnknownName
     * @throws BadInput where a field breaks its contract, or it is more work than one request may ask for
     */
    public static function ask(string $name, mixed $raw): Question
    {
        $tool = self::tool($name);
        $shape = self::input($name);
        if (! is_array($raw) || ! array_key_exists('sweep', $raw)) {
            return Question::of($tool, [['at' => null, 'values' => self::read($shape, $raw)]], null);
        }
        if ($shape->numericProperties() === []) {
            throw BadInput::field('sweep', 'is not for this tool: it has no number to vary.');
        }
        $sweep = self::sweep($tool, $raw['sweep']);
        unset($raw['sweep']);
        foreach ($shape->namesBeside($sweep['field']) as $beside) {
            if (array_key_exists($beside, $raw)) {
                throw BadInput::field($beside, "must not be given beside a sweep of {$sweep['field']}: one unit for one quantity.");
            }
        }

        return Question::of(
            $tool,
            array_map(
                static fn (float $value): array => ['at' => $value, 'values' => self::read($shape, [$sweep['field'] => $value] + $raw)],
                $sweep['values'],
            ),
            $sweep['field'], $sweep['folded'],
        );
    }

    private static function read(Shape $shape, mixed $raw): Values
    {
        $findings = new Findings;
        $values = $shape->read($raw, '', $findings);
        $findings->throwIfAny();

        return $values ?? new Values([]);
    }

    /**
     * @return array{field: string, values: non-empty-list<float>, folded: bool}
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
            'folded' => $values?->flag('folded') ?? false,
            'values' => array_map(static fn (int $i): float => round($from + $i * $step, 9), range(0, $count - 1)),
        ];
    }
}
