<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

/** The next id that nothing of a list has yet: a letter for its kind, and a number. */
final readonly class FreeId
{
    /** @param list<object{id: string}> $taken those that have one */
    public static function after(string $letter, array $taken): string
    {
        $ids = array_column($taken, 'id');
        $number = count($ids) + 1;
        while (in_array("{$letter}{$number}", $ids, true)) {
            $number++;
        }

        return "{$letter}{$number}";
    }
}
