<?php

declare(strict_types=1);

namespace App\School;

use App\Documents\CsvCell;
use App\Http\Resources\BreakdownResource;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use App\Models\Remark;
use App\Models\Take;
use App\Models\User;
use RuntimeException;
use ZipArchive;

/** All that one has here, to take along. */
final readonly class OwnData
{
    /** @return string a ZIP: the account, breakdowns as JSON, takes as JSON and as a table, remarks */
    public function of(User $user): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'own');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE) === true || throw new RuntimeException('No archive can be written.');
        $zip->addFromString('account.json', self::json(['name' => $user->name, 'email' => $user->email, 'role' => $user->role->value]));
        foreach (Breakdown::query()->where('owner_id', $user->id)->lazy(100) as $breakdown) {
            $zip->addFromString("breakdowns/{$breakdown->id}.gravik.json", self::json(BreakdownResource::document($breakdown->document)));
        }
        $rows = [];
        foreach (Take::query()->with('player')->where('player_id', $user->id)->oldest()->lazy(100) as $take) {
            $rows[] = TakeResource::row($take);
            $zip->addFromString("takes/{$take->id}.json", self::json(TakeResource::of($take)));
        }
        $zip->addFromString('takes.csv', self::table($rows));
        $remarks = Remark::query()->where('author_id', $user->id)->oldest()->get()->map(static fn (Remark $remark): array => [
            'take' => $remark->take_id,
            'text' => $remark->text,
            'seconds' => $remark->seconds,
            'written' => $remark->created_at->toIso8601String(),
        ]);
        $zip->addFromString('remarks.json', self::json($remarks->all()));
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @param list<array<string, mixed>> $rows */
    private static function table(array $rows): string
    {
        $out = fopen('php://temp', 'w+b') ?: throw new RuntimeException('No table can be written.');
        foreach ($rows === [] ? [] : [array_keys($rows[0]), ...$rows] as $row) {
            fputcsv($out, array_map(CsvCell::of(...), array_values($row)), escape: '', eol: "\r\n");
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** @param array<mixed> $value */
    private static function json(array $value): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
