<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\InvalidQuantity;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;

/** What a tool is asked, read and found sound, with the work it will be; nothing is worked out yet. */
final readonly class Question
{
    /**
     * @param  non-empty-list<array{at: ?float, values: Values}>  $asked  one, or one for each value of a sweep
     * @param  ?string  $swept  the field that varies
     * @param  bool  $folded  what is the same in every answer is said once
     * @param  float  $effort  steps, see Effort
     */
    private function __construct(private Tool $tool, private array $asked, private ?string $swept, private bool $folded, public float $effort)
    {
    }

    /**
     * @param  non-empty-list<array{at: ?float, values: Values}>  $asked
     *
     * @throws BadInput where it is more work than one request may ask for
     */
    public static function of(Tool $tool, array $asked, ?string $swept, bool $folded = false): self
    {
        return new self($tool, $asked, $swept, $folded, Effort::of(array_map(static fn (array $one): float => $tool->effort($one['values']), $asked)));
    }

    /**
     * What it means is constructed, and nothing planned: enough to know that it can be.
     *
     * @throws BadInput where fields contradict each other
     */
    public function sound(): void
    {
        foreach ($this->asked as $one) {
            self::sensibly(fn (): object => $this->tool instanceof ReadsAScene ? $this->tool->scene($one['values']) : $this->tool->answer($one['values']));
        }
    }

    /**
     * @return array<string, mixed>
     *
     * @throws BadInput where fields contradict each other
     */
    public function answer(): array
    {
        if ($this->swept === null) {
            return $this->one($this->asked[0]['values']);
        }

        $swept = ['tool' => $this->tool->name(), 'version' => ['core' => Toolbox::VERSION], 'sweep' => $this->swept];
        $answers = array_map(fn (array $one): array => $this->one($one['values']), $this->asked);
        $at = fn (array $rows): array => array_map(static fn (array $one, array $row): array => ['at' => $one['at']] + $row, $this->asked, $rows);
        if (! $this->folded) {
            return $swept + ['answers' => $at($answers)];
        }
        $folded = Folded::of($answers);

        return $swept + ['common' => $folded['common'], 'answers' => $at($folded['rows'])];
    }

    /** @return array<string, mixed> */
    private function one(Values $values): array
    {
        $answer = self::sensibly(fn (): Answer => $this->tool->answer($values));

        return [
            'tool' => $this->tool->name(),
            'version' => ['core' => Toolbox::VERSION, 'pack' => "{$answer->pack} {$answer->packVersion}"],
            ...$answer->body,
            'assumptions' => array_map(static fn (Assumption $assumption): array => $assumption->toArray(), $answer->assumptions),
            'warnings' => array_map(static fn (Warning $warning): array => [
                'code' => $warning->code, 'message' => $warning->message, 'data' => $warning->data === [] ? new \stdClass : $warning->data,
            ], $answer->warnings),
        ];
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws BadInput
     */
    private static function sensibly(callable $do): mixed
    {
        try {
            return $do();
        } catch (InvalidQuantity $absurd) {
            // Each field is within its bounds, and yet together they mean something absurd.
            throw BadInput::field('(input)', 'means something absurd: '.$absurd->getMessage());
        }
    }
}
