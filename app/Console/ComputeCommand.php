<?php

namespace App\Console;

use Illuminate\Console\Command;
use NobleTurn\Core\Compute\Schemas;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\UnknownName;

/** The core's tools on the command line: JSON from standard input, the answer as JSON on standard output. */
final class ComputeCommand extends Command
{
    protected $signature = 'compute {tool? : stopping, following, approach}
        {--list : name the tools}
        {--schema= : print the JSON Schema of a tool}
        {--write-schemas= : write every schema into a folder}';

    protected $description = 'Answer a question to the core: php artisan compute approach < in.json > out.json';

    private const BAD_INPUT = 2;

    public function handle(): int
    {
        $folder = $this->option('write-schemas');
        $schema = $this->option('schema');
        $tool = $this->argument('tool');
        try {
            return match (true) {
                (bool) $this->option('list') => $this->list(),
                is_string($schema) => $this->write(Schemas::of(Toolbox::tool($schema)), pretty: true),
                is_string($folder) => $this->writeSchemas($folder),
                default => $this->compute(is_string($tool) ? $tool : ''),
            };
        } catch (UnknownName $unknown) {
            return $this->refuse(['message' => $unknown->getMessage()]);
        }
    }

    private function compute(string $tool): int
    {
        Toolbox::tool($tool);
        try {
            $input = json_decode((string) stream_get_contents(STDIN), true, 64, JSON_THROW_ON_ERROR);

            return $this->write(Toolbox::run($tool, $input));
        } catch (\JsonException $malformed) {
            return $this->refuse(['message' => 'The input is not JSON: '.$malformed->getMessage().'.']);
        } catch (BadInput $bad) {
            return $this->refuse(['message' => $bad->getMessage(), 'errors' => $bad->errors]);
        }
    }

    private function list(): int
    {
        foreach (Toolbox::all() as $tool) {
            $this->output->writeln(sprintf('%-12s %s', $tool->name(), $tool->about()));
        }

        return self::SUCCESS;
    }

    private function writeSchemas(string $folder): int
    {
        foreach (Toolbox::all() as $tool) {
            file_put_contents("{$folder}/{$tool->name()}.json", self::json(Schemas::of($tool), pretty: true)."\n");
        }

        return self::SUCCESS;
    }

    /** @param  array<string, mixed>  $answer */
    private function write(array $answer, bool $pretty = false): int
    {
        $this->output->writeln(self::json($answer, $pretty), self::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @param  array<string, mixed>  $problem */
    private function refuse(array $problem): int
    {
        fwrite(STDERR, self::json($problem, pretty: false)."\n");

        return self::BAD_INPUT;
    }

    private const OUTPUT_RAW = \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW;

    /** @param  array<string, mixed>  $value */
    private static function json(array $value, bool $pretty): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | ($pretty ? JSON_PRETTY_PRINT : 0),
        );
    }
}
