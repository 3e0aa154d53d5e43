<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\CsvCell;
use App\Http\Controllers\Controller;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class ExportTakes extends Controller
{
    private const COLUMNS = ['player', 'number', 'created_at', 'stage', 'arrangement', 'tempo', 'bars', 'from_bar', 'level', 'passed', 'bias_ms',
        'spread_ms', 'gate_ms', 'swing', 'latency_ms', 'finding'];

    #[OA\Get(path: '/api/breakdowns/{id}/takes.csv', summary: 'The log of a breakdown’s takes, the oldest first', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the file')])]
    public function __invoke(Request $request, Breakdown $breakdown): StreamedResponse
    {
        $takes = $breakdown->takesSeenBy($this->user($request))->with('player')->oldest()->oldest('id');

        return new StreamedResponse(static function () use ($takes): void {
            $out = fopen('php://output', 'wb');
            if ($out === false) {
                return;
            }
            fputcsv($out, self::COLUMNS, escape: '', eol: "\r\n");
            foreach ($takes->lazy() as $take) {
                $row = TakeResource::row($take);
                fputcsv(
                    $out,
                    array_map(static fn (string $column): string => CsvCell::of($row[$column]), self::COLUMNS),
                    escape: '',
                    eol: "\r\n",
                );
            }
            fclose($out);
        }, 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => sprintf('attachment; filename="%s-takes.csv"', Str::slug($breakdown->title) ?: 'breakdown'),
        ]);
    }
}
