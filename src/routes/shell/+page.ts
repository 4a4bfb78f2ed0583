// The empty page that the worker keeps: with it any kept page is made on the device, where there is no connection.
export const ssr = false;
