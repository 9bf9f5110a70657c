@include('errors.problem', ['code' => 500])
