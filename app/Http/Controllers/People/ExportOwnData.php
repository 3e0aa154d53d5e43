<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\School\OwnData;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class ExportOwnData extends Controller
{
    #[OA\Get(path: '/api/account/export', summary: 'All that one has here, as a ZIP', responses: [
        new OA\Response(response: 200, description: 'the file'),
    ])]
    public function __invoke(Request $request, OwnData $data): Response
    {
        return new Response($data->of($this->user($request)), 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => 'attachment; filename="gravik-mine.zip"',
        ]);
    }
}
