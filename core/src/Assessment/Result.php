<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

use NobleTurn\Core\Fault\BadInput;

/** What a drive comes to by a scheme, and which rule decided. */
final readonly class Result
{
    /**
     * @param  list<array{MarkedFault, Severity}>  $faults  in the order in which they were marked
     * @param  ?Limit  $decidedBy  null where it passes
     * @param  ?string  $within  the heading, or heading and kind, where the limit counts those
     */
    private function __construct(public Scheme $scheme, public array $faults, public ?Limit $decidedBy, public ?string $within, private int $number)
    {
    }

    /**
     * @param  list<MarkedFault>  $faults
     *
     * @throws BadInput of a fault of which nothing was said that tells how grave it is
     */
    public static function of(Scheme $scheme, array $faults): self
    {
        $weighed = [];
        foreach ($faults as $i => $fault) {
            $weighed[] = [$fault, $scheme->severity($fault) ?? throw BadInput::field(
                "faults.{$i}", 'needs a severity, what others had to do (effect), or a kind of fault.',
            )];
        }
        foreach ($scheme->limits as $limit) {
            $counts = [];
            foreach ($weighed as [$fault, $severity]) {
                $of = self::counted($limit, $fault);
                if ($severity === $limit->severity && $of !== null) {
                    $counts[$of] = ($counts[$of] ?? 0) + 1;
                }
            }
            foreach ($counts as $of => $number) {
                if ($number > $limit->most) {
                    return new self($scheme, $weighed, $limit, (string) $of, $number);
                }
            }
        }

        return new self($scheme, $weighed, null, null, 0);
    }

    public function passes(): bool
    {
        return $this->decidedBy === null;
    }

    public function code(): string
    {
        return $this->decidedBy?->code() ?? 'within-limits';
    }

    /** @return list<MarkedFault> those that the deciding rule counted; nothing where it passes */
    public function deciding(): array
    {
        $limit = $this->decidedBy;
        if ($limit === null) {
            return [];
        }

        return array_map(
            static fn (array $one): MarkedFault => $one[0],
            array_values(array_filter(
                $this->faults, fn (array $one): bool => $one[1] === $limit->severity && self::counted($limit, $one[0]) === $this->within,
            )),
        );
    }

    /** @return array<string, int> by severity, the lightest first */
    public function counts(): array
    {
        $counts = array_fill_keys(array_map(static fn (Severity $one): string => $one->value, array_reverse($this->scheme->severities())), 0);
        foreach ($this->faults as [, $severity]) {
            $counts[$severity->value]++;
        }

        return $counts;
    }

    /** As a sentence. */
    public function message(): string
    {
        $limit = $this->decidedBy;
        if ($limit === null) {
            return $this->faults === [] ? 'Nothing was marked: it passes.' : 'Within every limit: it passes.';
        }
        $faults = "{$this->number} {$limit->severity->faults($this->number)}";
        $where = match ($limit->within) {
            Counted::Drive => '',
            Counted::Heading => " under {$this->within}",
            Counted::Aspect => ' of one kind ('.str_replace('.', ', ', (string) $this->within).')',
        };

        return $limit->most === 0 ? "{$faults}{$where}: one is enough to fail." : "{$faults}{$where}: at most {$limit->most} pass.";
    }

    /** Under what a limit counts a fault; null where it cannot. */
    private static function counted(Limit $limit, MarkedFault $fault): ?string
    {
        return match ($limit->within) {
            Counted::Drive => '',
            Counted::Heading => $fault->heading,
            Counted::Aspect => $fault->aspect === null ? null : "{$fault->heading}.{$fault->aspect}",
        };
    }
}
