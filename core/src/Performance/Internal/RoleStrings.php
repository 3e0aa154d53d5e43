<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\Role;
use Gravik\Harmony\GuideTones;
use Gravik\Neck\Grip\Voicing;

/**
 * What a role leaves of the strings that a stroke meets: a passive part its guide tones, four to the bar the lowest three.
 *
 * @internal used by GuitarPart
 */
final readonly class RoleStrings
{
    private const LOW = 3;

    /**
     * @param list<int> $strings indexes into the grip, in the order they are met
     *
     * @return list<int> all of them where the grip has no guide tone among them
     */
    public static function of(Role $role, array $strings, Voicing $grip): array
    {
        return match ($role) {
            Role::Passive => self::guideTones($strings, $grip),
            Role::Four => array_slice($strings, 0, self::LOW),
            Role::Active, Role::Unison, Role::Doubles, Role::Out => $strings,
        };
    }

    /**
     * @param list<int> $strings
     *
     * @return list<int>
     */
    private static function guideTones(array $strings, Voicing $grip): array
    {
        $tones = GuideTones::of($grip->chord);
        $left = array_values(
            array_filter($strings, static fn (int $string): bool => in_array(($grip->midi[$string] ?? -1) % 12, $tones, true)),
        );

        return $left === [] ? $strings : $left;
    }
}
