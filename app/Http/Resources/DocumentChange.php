<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use OpenApi\Attributes as OA;

/**
 * What one click would change, place by place: entries of lists by their id, other fields whole. Each is applied only where
 * what it replaces is still there.
 */
#[OA\Schema(schema: 'Patch', required: ['field', 'id', 'was', 'becomes'], properties: [
    new OA\Property(property: 'field', description: 'of the document', type: 'string'),
    new OA\Property(property: 'id', description: 'of the entry in it; null for the whole field', type: 'string', nullable: true),
    new OA\Property(property: 'was', description: 'what it replaces'),
    new OA\Property(property: 'becomes', description: 'what comes in its place'),
])]
final class DocumentChange
{
    /** @return list<array{field: string, id: ?string, was: mixed, becomes: mixed}> */
    public static function between(Breakdown $before, Breakdown $after): array
    {
        $json = new BreakdownJson();
        [$was, $becomes] = [$json->write($before), $json->write($after)];
        $patches = [];
        foreach (array_keys($was + $becomes) as $field) {
            // A list that a document does not name is empty.
            [$old, $new] = [$was[$field] ?? [], $becomes[$field] ?? []];
            if ($old !== $new) {
                array_push($patches, ...self::entries($field, $old, $new));
            }
        }

        return $patches;
    }

    /** @return list<array{field: string, id: ?string, was: mixed, becomes: mixed}> */
    private static function entries(string $field, mixed $was, mixed $becomes): array
    {
        $ids = static fn (mixed $list): array => is_array($list) && array_is_list($list) ? array_column($list, 'id') : [];
        if ($ids($becomes) === [] || $ids($was) !== $ids($becomes) || ! is_array($was) || ! is_array($becomes)) {
            return [['field' => $field, 'id' => null, 'was' => $was, 'becomes' => $becomes]];
        }
        $patches = [];
        foreach ($becomes as $place => $entry) {
            if ($entry !== $was[$place]) {
                $patches[] = ['field' => $field, 'id' => $entry['id'], 'was' => $was[$place], 'becomes' => $entry];
            }
        }

        return $patches;
    }
}
