<?php

namespace App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use NobleTurn\Core\Docs\RuleBook;

/** Writes the rules of the core out as pages to be read. */
final class RulesCommand extends Command
{
    protected $signature = 'rules';

    protected $description = 'Write docs/rules/ from the rules in the core';

    public function handle(): int
    {
        File::ensureDirectoryExists(base_path('docs/rules'));
        foreach (RuleBook::pages() as $file => $text) {
            File::put(base_path("docs/rules/{$file}"), $text);
        }

        return self::SUCCESS;
    }
}
