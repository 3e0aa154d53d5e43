<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowStart extends Controller
{
    #[OA\Get(path: '/api/start', summary: 'Whether anybody has an account yet', responses: [new OA\Response(
        response: 200,
        description: 'the school',
        content: new OA\JsonContent(required: ['empty'], properties: [
            new OA\Property(property: 'empty', description: 'the first person to come makes the owner’s account', type: 'boolean'),
        ]),
    )])]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['empty' => ! User::query()->exists()]);
    }
}
