<?php

namespace App\Console;

use App\Contract\Document;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;

/** Writes the document of the API, from which the interface's types are made. */
final class ContractCommand extends Command
{
    protected $signature = 'contract';

    protected $description = 'Write docs/openapi.json and docs/schemas/sites-geojson.json from the shapes and rules of the API';

    public function handle(): int
    {
        File::put(Document::path(), Document::json());
        File::put(Document::pathOfSites(), Document::sites());

        return self::SUCCESS;
    }
}
