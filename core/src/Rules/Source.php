<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** The status of a figure together with the document that prints it, where one does. */
final readonly class Source
{
    private function __construct(public Status $status, public ?string $document)
    {
    }

    public static function published(string $document): self
    {
        return new self(Status::Published, $document);
    }

    public static function commonPractice(): self
    {
        return new self(Status::CommonPractice, null);
    }

    public static function fromMemory(string $document): self
    {
        return new self(Status::FromMemory, $document);
    }

    public static function assumed(): self
    {
        return new self(Status::Assumed, null);
    }

    public static function given(): self
    {
        return new self(Status::Given, null);
    }

    /** As printed under a figure: "published: Highway Code, rule 126", "common practice, no source". */
    public function words(): string
    {
        return match ($this->status) {
            Status::Published => "published: {$this->document}",
            Status::CommonPractice => 'usual teaching, no published source',
            Status::FromMemory => "published, from memory: {$this->document}",
            Status::Assumed => 'assumed, adjustable',
            Status::Given => 'as entered',
        };
    }
}
