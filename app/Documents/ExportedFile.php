<?php

declare(strict_types=1);

namespace App\Documents;

final readonly class ExportedFile
{
    /** @param list<string> $notKept what this format cannot hold */
    public function __construct(public string $bytes, public string $type, public string $ending, public array $notKept) {}
}
