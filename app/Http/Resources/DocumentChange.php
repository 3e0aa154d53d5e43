<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;

/** What one click would change: the top-level fields of the document that differ, as they would be. */
final class DocumentChange
{
    /** @return array<string, mixed> */
    public static function between(Breakdown $before, Breakdown $after): array
    {
        $json = new BreakdownJson();
        $was = $json->write($before);

        return array_filter($json->write($after), static fn (mixed $value, string $field): bool => $value !== ($was[$field] ?? null), ARRAY_FILTER_USE_BOTH);
    }
}
