<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A grip a teacher gave a name of their own, to be used again on any root.
 *
 * @property string         $id
 * @property int            $owner_id
 * @property string         $name
 * @property string         $symbol the chord it was named on
 * @property string         $tuning
 * @property list<int|null> $frets  low to high
 */
final class Grip extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['frets' => 'array'];
    }
}
