@include('errors.page', ['title' => 'Not yours to do', 'what' => $exception->getMessage() ?: 'Your role in the crew does not include this.'])
