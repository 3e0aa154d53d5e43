<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class DeleteBreakdown extends Controller
{
    #[OA\Delete(
        path: '/api/breakdowns/{id}',
        summary: 'Take a breakdown off the shelf; it can be put back',
        parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'gone from the shelf')],
    )]
    public function __invoke(Breakdown $breakdown): Response
    {
        $breakdown->delete();

        return new Response('', 204);
    }
}
