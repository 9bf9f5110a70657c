<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

use NobleTurn\Core\Fault\UnknownName;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/**
 * By which rules a drive passes: how grave a fault is, and how many of each are too many. The limits of the three that ship are published, from
 * memory; what a kind of fault and its effect amount to is assumed, for an examiner decides it. Each can be copied and changed.
 */
final readonly class Scheme
{
    /**
     * @param  string  $like  the one that ships from which it comes
     * @param  non-empty-list<Limit>  $limits  the gravest first: the first that is passed decides
     * @param  array<string, Severity>  $byEffect  by what others had to do
     * @param  array<string, Severity>  $byFault  by "step.kind", where nobody said what others had to do
     * @param  Severity  $usual  of a kind of fault that is not named
     */
    private function __construct(
        public string $like, public array $limits, private array $byEffect, private array $byFault, private Severity $usual, public Source $source,
        public bool $isOwn = false,
    ) {
    }

    /** @return non-empty-list<string> */
    public static function codes(): array
    {
        return ['gb-car', 'ie-car', 'na-ca-car'];
    }

    /** By which tests are marked where a pack’s law holds. */
    public static function usual(RulePack $pack): string
    {
        return match ($pack->code()) {
            'ie' => 'ie-car', 'na' => 'na-ca-car', default => 'gb-car',
        };
    }

    /** @throws UnknownName */
    public static function byCode(string $code): self
    {
        return match ($code) {
            'gb-car' => new self($code, [
                new Limit(Severity::Dangerous, 0), new Limit(Severity::Serious, 0), new Limit(Severity::Driving, 15),
            ], self::effects(Severity::Driving, Severity::Driving, Severity::Serious, Severity::Dangerous), self::grave(Severity::Serious), Severity::Driving,
                Source::fromMemory('the car driving test of Great Britain, how it is marked')),
            'ie-car' => new self($code, [
                new Limit(Severity::GradeThree, 0), new Limit(Severity::GradeTwo, 3, Counted::Aspect), new Limit(Severity::GradeTwo, 5, Counted::Heading),
                new Limit(Severity::GradeTwo, 8),
            ], self::effects(Severity::GradeOne, Severity::GradeTwo, Severity::GradeTwo, Severity::GradeThree), self::grave(Severity::GradeThree),
                Severity::GradeTwo, Source::fromMemory('the driving test of Ireland, marking guidelines')),
            'na-ca-car' => new self($code, [new Limit(Severity::Critical, 0), new Limit(Severity::Scored, 15)],
                self::effects(Severity::Scored, Severity::Scored, Severity::Critical, Severity::Critical), self::grave(Severity::Critical), Severity::Scored,
                Source::fromMemory('the behind-the-wheel test of California, scoring criteria')),
            default => throw UnknownName::among('scheme', $code, self::codes()),
        };
    }

    /**
     * A copy with figures of one's own.
     *
     * @param  array<string, int>  $limits  most that still pass, by the name of the limit
     * @param  array<string, Severity>  $byEffect
     * @param  array<string, Severity>  $byFault
     */
    public function changed(array $limits, array $byEffect, array $byFault): self
    {
        return new self(
            $this->like, array_map(static fn (Limit $limit): Limit => $limit->with($limits[$limit->name()] ?? $limit->most), $this->limits),
            $byEffect + $this->byEffect, $byFault + $this->byFault, $this->usual, $this->source, true,
        );
    }

    /** @return list<Severity> gravest first */
    public function severities(): array
    {
        $found = [];
        foreach ([...array_map(static fn (Limit $limit): Severity => $limit->severity, $this->limits), ...array_values($this->byEffect)] as $severity) {
            $found[$severity->value] = $severity;
        }

        return array_values($found);
    }

    /** What a fault amounts to; null where neither a severity, nor what others had to do, nor a kind was said. */
    public function severity(MarkedFault $fault): ?Severity
    {
        return match (true) {
            $fault->given !== null => $fault->given,
            $fault->effect !== null => $this->byEffect[$fault->effect->value],
            $fault->fault !== null => $this->byFault["{$fault->step->value}.{$fault->fault}"] ?? $this->usual,
            default => null,
        };
    }

    /** @return array<string, Severity> */
    private static function effects(Severity $nobody, Severity $potential, Severity $affected, Severity $intervened): array
    {
        return [
            Effect::Nobody->value => $nobody, Effect::Potential->value => $potential, Effect::Affected->value => $affected,
            Effect::Intervened->value => $intervened,
        ];
    }

    /** @return array<string, Severity> kinds that are grave whatever came of them (assumed; the touched end block is common practice) */
    private static function grave(Severity $severity): array
    {
        $look = Step::Look->value;

        return array_fill_keys([
            "{$look}.goes-unsafe", "{$look}.other-light", Step::Speed->value.'.not-stopped', Step::Speed->value.'.dives-on', Step::Position->value.'.contact',
        ], $severity);
    }
}
