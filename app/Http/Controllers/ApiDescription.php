<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use OpenApi\Attributes as OA;

/** What the generated OpenAPI document says of the whole; every other part stands with its controller and resource. */
#[OA\Info(
    version: '1',
    title: 'Gravik',
    description: 'JSON over /api with a session cookie; writes carry the XSRF-TOKEN cookie in the X-XSRF-TOKEN header. Refusals are {message, errors, at?}.',
)]
final class ApiDescription {}
