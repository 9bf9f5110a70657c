@include('errors.problem', ['code' => 429])
