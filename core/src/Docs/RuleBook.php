<?php

declare(strict_types=1);

namespace NobleTurn\Core\Docs;

use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Figure;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;

/** The rules as they are in the code, written out to be read and doubted: `docs/rules/` is made from here. */
final class RuleBook
{
    /** @return array<string, string> Markdown by file name */
    public static function pages(): array
    {
        $pages = ['plan.md' => self::plan(), 'packs.md' => self::packs(), 'practices.md' => self::practices()];
        foreach (RulePacks::all() as $pack) {
            $pages["routines-{$pack->code()}.md"] = self::routines($pack);
        }

        return ['README.md' => self::index(array_keys($pages))] + $pages;
    }

    /** @param  list<string>  $files */
    private static function index(array $files): string
    {
        $links = implode("\n", array_map(static fn (string $file): string => "- [{$file}]({$file})", $files));

        return "# Rules\n\nMade from the code by `php artisan rules`; a test fails where a page is out of date.\n\n{$links}\n- [scenes.md](scenes.md), "
            ."written by the tests of the scenes\n";
    }

    private static function plan(): string
    {
        $text = "# What a plan keeps\n";
        foreach (PlanRule::all() as $rule) {
            $text .= "\n## {$rule->name}\n\n".self::rows([
                'When' => $rule->condition, 'Then' => $rule->action, 'Because' => $rule->reason, 'Source' => $rule->source,
                'Example' => $rule->example(),
            ]);
        }

        return $text;
    }

    private static function packs(): string
    {
        $packs = RulePacks::all();
        $text = "# Packs, figure by figure\n\nLaws and handbooks are entered from memory unless a line says otherwise.\n";
        $keys = [];
        foreach ($packs as $pack) {
            foreach ($pack->figures() as $figure) {
                $keys[$figure->key] ??= $figure->name;
            }
        }
        foreach ($keys as $key => $name) {
            $text .= "\n## {$name}\n\n";
            foreach ($packs as $pack) {
                $found = array_values(array_filter($pack->figures(), static fn (Figure $figure): bool => $figure->key === $key));
                $own = $found === [] || $found[0]->name === $name ? '' : "{$found[0]->name}: ";
                $text .= $found === [] ? "- `{$pack->code()}`: -\n" : "- `{$pack->code()}`: {$own}{$found[0]->value} ({$found[0]->source->words()})\n";
            }
        }

        return $text;
    }

    private static function practices(): string
    {
        $pack = RulePacks::all()[0];
        $text = "# Where good instructors differ\n\nAll of it common practice, no source. The first answer is the default unless a pack has its own. In the "
            ."words of {$pack->name()}.\n";
        foreach (Practices::all() as $question) {
            $wording = new Wording($pack, null);
            $where = $question->routines === [] ? 'every routine' : implode(
                ', ', array_map(static fn ($routine): string => $routine->value, $question->routines),
            );
            $text .= "\n## {$wording->say($question->text)} (`{$question->key}`)\n\nOn: {$where}; step: {$question->step->value}
                ."
                .($question->changes === [] ? ' Changes only what is said.' : ' Changes the answer of: '.implode(', ', $question->changes).'.')
                ."\n\n";
            foreach ($question->options as $option) {
                $text .= "- `{$option->value}`: {$wording->say($option->words)}. {$wording->say($option->reason)}"
                    .($option->says === '' ? '' : " Card: {$wording->say($option->says)}")
                    ."\n";
            }
            foreach (RulePacks::all() as $other) {
                $usual = $question->default($other);
                $text .= $usual === $question->options[0]->value ? '' : "\nDefault in `{$other->code()}`: `{$usual}`.\n";
            }
        }

        return $text;
    }

    private static function routines(RulePack $pack): string
    {
        $text = "# Routines: {$pack->name()}\n\nSteps, reasons, faults and causes: common practice, no source.\n";
        foreach (Catalogue::codes($pack) as $code) {
            $card = Card::of($code, $pack, new Practice([], $pack));
            $text .= "\n## {$card->title} (`{$code->value}`)\n\n{$card->where}\n\nSaid: “{$card->direction}” Afterwards: {$card->afterwards}\n";
            foreach ($card->steps as $step) {
                $text .= "\n### ".ucfirst($step->step->value)."\n\n".self::rows([
                    'Do' => $step->do, 'Why' => $step->why, 'Usual mistake' => $step->usualMistake,
                    'Likely cause' => ($step->causeIn === null ? '(before it began) ' : "({$step->causeIn->value}) ").$step->likelyCause,
                    'Remedy' => $step->remedy, 'Drill' => $step->drill, 'Watched' => $step->watch,
                ]);
            }
            foreach ($card->variants as $variant) {
                $text .= "\n- **{$variant->name}.** {$variant->changes}"
                    .($variant->inputs === [] ? '' : ' `'.json_encode($variant->inputs, JSON_UNESCAPED_SLASHES).'`');
            }
            $text .= $card->variants === [] ? '' : "\n";
        }

        return $text;
    }

    /** @param  array<string, string>  $rows */
    private static function rows(array $rows): string
    {
        return implode('', array_map(static fn (string $name, string $said): string => "- **{$name}:** {$said}\n", array_keys($rows), array_values($rows)));
    }
}
