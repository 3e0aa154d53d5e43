<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Place;

/** Something that may be a slip: it asks and proposes, and never changes anything by itself. */
final readonly class Remark
{
    /**
     * @param ?Place $place of the chord it is about; null for the whole breakdown
     * @param list<array{text: string, breakdown: Breakdown}> $fixes the nearest first, each with the breakdown as it would be
     */
    public function __construct(public RemarkKind $kind, public ?Place $place, public string $text, public array $fixes) {}
}
