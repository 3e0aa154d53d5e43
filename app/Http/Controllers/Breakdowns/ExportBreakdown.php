<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Documents\BreakdownStore;
use App\Documents\ExportFormat;
use App\Documents\Exports;
use App\Http\Controllers\Controller;
use App\Http\Requests\ExportRequest;
use App\Models\Breakdown;
use App\School\AssignedVersions;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class ExportBreakdown extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/export/{format}', summary: 'The breakdown as a file', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'format', schema: new OA\Schema(type: 'string', enum: ExportFormat::class)),
    ], responses: [new OA\Response(response: 200, description: 'the file')])]
    public function __invoke(
        ExportRequest $request,
        Breakdown $breakdown,
        string $format,
        BreakdownStore $store,
        Exports $exports,
        AssignedVersions $versions,
    ): Response {
        $breakdown = $versions->seenBy($breakdown, $this->user($request));
        $file = $exports->file(
            $request->wanted($store->document($breakdown)),
            ExportFormat::named($format),
            $request->wishes(),
            $request->sound(),
        );
        $store->refer($breakdown);
        $name = Str::slug($breakdown->title) ?: 'breakdown';

        return new Response($file->bytes, 200, [
            'Content-Type' => $file->type,
            'Content-Disposition' => sprintf('attachment; filename="%s.%s"', $name, $file->ending),
        ]);
    }
}
