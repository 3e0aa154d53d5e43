<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One thing that somebody did, for the owner of the school.
 *
 * @property int             $id
 * @property int|null        $by_id   null once the account is gone
 * @property string          $by_name
 * @property RecordKind      $kind
 * @property string          $about
 * @property CarbonImmutable $created_at
 */
final class Record extends Model
{
    public const UPDATED_AT = null;

    private const LONGEST = 200;

    protected $guarded = [];

    public static function note(User $by, RecordKind $kind, string $about = ''): void
    {
        self::query()->create([
            'by_id' => $by->id,
            'by_name' => $by->name,
            'kind' => $kind,
            'about' => mb_substr($about, 0, self::LONGEST),
        ]);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => RecordKind::class, 'created_at' => 'immutable_datetime'];
    }
}
