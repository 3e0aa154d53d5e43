<?php

declare(strict_types=1);

namespace App\Http\Controllers\Breakdowns;

use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class PutBackBreakdown extends Controller
{
    #[OA\Post(
        path: '/api/breakdowns/{id}/put-back',
        summary: 'Undo a deletion',
        parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'on the shelf again')],
    )]
    public function __invoke(string $id): Response
    {
        $breakdown = Breakdown::withTrashed()->findOrFail($id);
        $this->authorize('own', $breakdown);
        $breakdown->restore();

        return new Response('', 204);
    }
}
