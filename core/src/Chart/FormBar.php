<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Time\Meter;

/** A bar of the written song and where it stands. */
final readonly class FormBar
{
    public function __construct(public string $section, public ?int $ending, public int $inSection, public Bar $bar, public Meter $meter) {}
}
